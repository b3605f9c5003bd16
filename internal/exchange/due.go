package exchange

import (
	"bytes"
	"fmt"
	"strings"
	"time"

	"zaino/internal/core/handover"
)

// WriteDuesICS writes what is due as calendar (iCalendar, RFC 5545): a whole day each, with its customer. What only a
// way makes due has no day and is left out.
func WriteDuesICS(dues []handover.Due, now time.Time) []byte {
	var out bytes.Buffer
	line := func(text string) { out.WriteString(folded(text)) }
	line("BEGIN:VCALENDAR")
	line("VERSION:2.0")
	line("PRODID:-//Zaino//Due dates//EN")
	line("CALSCALE:GREGORIAN")
	for _, d := range dues {
		on, err := time.Parse(time.DateOnly, d.On)
		if err != nil {
			continue
		}
		line("BEGIN:VEVENT")
		line("UID:" + calendarText(strings.ReplaceAll(d.ID, "/", "-")+"-"+d.Job) + "@zaino")
		line("DTSTAMP:" + now.UTC().Format("20060102T150405Z"))
		line("DTSTART;VALUE=DATE:" + on.Format("20060102"))
		line("DTEND;VALUE=DATE:" + on.AddDate(0, 0, 1).Format("20060102"))
		line("SUMMARY:" + calendarText(d.What+": "+strings.Join(filled(d.Name, d.Customer), ", ")))
		line("DESCRIPTION:" + calendarText(d.Why))
		line("BEGIN:VALARM")
		line("ACTION:DISPLAY")
		line("DESCRIPTION:" + calendarText(d.What))
		line("TRIGGER:-P7D")
		line("END:VALARM")
		line("END:VEVENT")
	}
	line("END:VCALENDAR")
	return out.Bytes()
}

// calendarText escapes a text for a calendar.
func calendarText(text string) string {
	text = strings.Map(func(r rune) rune {
		if r < ' ' && r != '\n' || r == 0x7f {
			return -1
		}
		return r
	}, text)
	return strings.NewReplacer(`\`, `\\`, ";", `\;`, ",", `\,`, "\n", `\n`).Replace(text)
}

// folded breaks a line after at most 75 bytes, between letters.
func folded(text string) string {
	var out strings.Builder
	room := 75
	for _, r := range text {
		if size := len(string(r)); size > room {
			out.WriteString("\r\n ")
			room = 74
		}
		out.WriteRune(r)
		room -= len(string(r))
	}
	return out.String() + "\r\n"
}

// WriteDuesCSV writes what is due as a table.
func WriteDuesCSV(dues []handover.Due) ([]byte, error) {
	rows := [][]string{{"state", "what", "on", "km", "job", "customer", "why"}}
	for _, d := range dues {
		km := ""
		if d.Km > 0 {
			km = fmt.Sprintf("%.0f", d.Km)
		}
		rows = append(rows, []string{d.State, d.What, d.On, km, d.Name, d.Customer, d.Why})
	}
	return csvOf(rows)
}
