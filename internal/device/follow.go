package device

import (
	"bufio"
	"bytes"
	"context"
	"errors"
	"fmt"
	"io"
	"net"
	"strconv"
	"time"
)

// What a device may do before it is not listened to any more.
const (
	mostBad      = 50               // bad lines one after another
	mostASecond  = 20               // lines; more are passed over
	silence      = 30 * time.Second // after which it has stopped
	again        = 2 * time.Second  // until it is tried again
	mostAttempts = 60               // one after another
)

// CheckAddress refuses an address that is not on this machine: what listens there would be
// asked in the name of the server.
func CheckAddress(address string) error {
	const accepted = "accepted is a port of this machine, such as 127.0.0.1:8350"
	host, port, err := net.SplitHostPort(address)
	if err != nil {
		return fmt.Errorf("%q is no address; %s", address, accepted)
	}
	if ip := net.ParseIP(host); host != "localhost" && (ip == nil || !ip.IsLoopback()) {
		return fmt.Errorf("%q is not on this machine; %s", host, accepted)
	}
	if n, err := strconv.Atoi(port); err != nil || n < 1024 || n > 65535 {
		return fmt.Errorf("%q is no port for a device; %s, from 1024 up", port, accepted)
	}
	return nil
}

// Line is what is done with a device that is listened to.
type Line struct {
	Hear  func(line []byte) error           // reads one line; an error says what is wrong with it
	State func(sends bool, sentence string) // is told what there is to know of it, in a sentence, and whether it sends
	Tell  <-chan []byte                     // lines that are sent to it; nil for none
}

// Follow listens to a device until the context ends. It comes back by itself when a device goes and comes again.
func Follow(ctx context.Context, address string, l Line) {
	for attempt := 0; attempt < mostAttempts && ctx.Err() == nil; attempt++ {
		sent, err := l.listen(ctx, address)
		if ctx.Err() != nil {
			return
		}
		if sent {
			attempt = 0
		}
		if errors.Is(err, errNoDevice) {
			l.State(false, err.Error())
			return
		}
		l.State(false, fmt.Sprintf("Nothing is sent from %s: %s. It is tried again.", address, plain(err)))
		select {
		case <-ctx.Done():
			return
		case <-time.After(again):
		}
	}
	if ctx.Err() == nil {
		l.State(false, fmt.Sprintf("Nothing is sent from %s. Start the device, then connect again.", address))
	}
}

// errNoDevice is that of what sends no readings.
var errNoDevice = errors.New("it sends no readings")

func plain(err error) string {
	var op *net.OpError
	switch {
	case errors.Is(err, io.EOF), errors.Is(err, io.ErrUnexpectedEOF):
		return "it has hung up"
	case errors.As(err, &op) && op.Timeout():
		return "it has been silent for half a minute"
	case errors.As(err, &op) && op.Op == "dial":
		return "nobody answers there"
	}
	return err.Error()
}

// listen reads lines until the device goes; sent tells that a reading came.
func (l *Line) listen(ctx context.Context, address string) (sent bool, err error) {
	dialer := net.Dialer{Timeout: 3 * time.Second}
	connection, err := dialer.DialContext(ctx, "tcp", address)
	if err != nil {
		return false, err
	}
	defer connection.Close()
	stop := context.AfterFunc(ctx, func() { _ = connection.Close() })
	defer stop()
	if l.Tell != nil {
		gone := make(chan struct{})
		defer close(gone)
		go l.tell(ctx, connection, gone)
	}
	lines := bufio.NewReaderSize(connection, LongestLine)
	bad, counted, second := 0, 0, time.Time{}
	for {
		_ = connection.SetReadDeadline(time.Now().Add(silence))
		line, long, err := lines.ReadLine()
		if err != nil {
			return sent, err
		}
		for more := long; more; { // the rest of a line that is too long
			if _, more, err = lines.ReadLine(); err != nil {
				return sent, err
			}
		}
		if now := time.Now(); now.Sub(second) > time.Second {
			second, counted = now, 0
		}
		if counted++; counted > mostASecond && !long && bytes.HasPrefix(line, []byte("{")) {
			continue // not even looked at
		}
		if long {
			err = fmt.Errorf("a line is longer than %d bytes", LongestLine)
		} else {
			err = l.Hear(line)
		}
		if err != nil {
			if bad++; bad >= mostBad {
				return sent, fmt.Errorf("%w: %d lines one after another; %w", errNoDevice, bad, err)
			}
			l.State(sent, "A line was passed over: "+err.Error())
			continue
		}
		if !sent || bad > 0 {
			l.State(true, "")
		}
		bad, sent = 0, true
	}
}

// tell sends lines to a device until it goes.
func (l *Line) tell(ctx context.Context, connection net.Conn, gone <-chan struct{}) {
	for {
		select {
		case <-ctx.Done():
			return
		case <-gone:
			return
		case line := <-l.Tell:
			_ = connection.SetWriteDeadline(time.Now().Add(3 * time.Second))
			if _, err := connection.Write(append(line, '\n')); err != nil {
				return
			}
		}
	}
}
