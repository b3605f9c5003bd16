// Package picture takes photos in: it turns them as their mark says, makes them small enough to keep, and leaves out
// everything that a camera writes beside the picture, where it was taken above all.
package picture

import (
	"bytes"
	"encoding/binary"
	"errors"
	"fmt"
	"image"
	"image/jpeg"
	_ "image/png" // read too
	"net/http"

	"golang.org/x/image/draw"
)

// How large a photo may come, and how large it is kept and put into a pack.
const (
	MostBytes  = 25 << 20
	MostPixels = 60_000_000
	KeptEdge   = 2000 // px
	PackEdge   = 900  // px
	quality    = 82
)

// ErrNone says that something is no picture that can be read.
var ErrNone = errors.New("it is no photo that can be read; accepted are JPEG and PNG")

// Take reads a JPEG or PNG and gives it back as a JPEG of at most so many px along its longer edge, upright, with
// nothing but the picture in it. It refuses what is too large, or no picture, saying so.
func Take(data []byte, edge int) (out []byte, width, height int, err error) {
	if len(data) > MostBytes {
		return nil, 0, 0, fmt.Errorf("the photo has %d MB; accepted are up to %d MB", len(data)>>20, MostBytes>>20)
	}
	switch http.DetectContentType(data) {
	case "image/jpeg", "image/png":
	default:
		return nil, 0, 0, ErrNone
	}
	config, _, err := image.DecodeConfig(bytes.NewReader(data))
	if err != nil {
		return nil, 0, 0, ErrNone
	}
	if config.Width <= 0 || config.Height <= 0 || config.Width > MostPixels/config.Height {
		return nil, 0, 0, fmt.Errorf(
			"the photo has %d × %d px; accepted are up to %d million px",
			config.Width,
			config.Height,
			MostPixels/1_000_000,
		)
	}
	decoded, _, err := image.Decode(bytes.NewReader(data))
	if err != nil {
		return nil, 0, 0, ErrNone
	}
	small := upright(fit(decoded, edge), orientation(data))
	var jpg bytes.Buffer
	if err := jpeg.Encode(&jpg, small, &jpeg.Options{Quality: quality}); err != nil {
		return nil, 0, 0, err
	}
	return jpg.Bytes(), small.Bounds().Dx(), small.Bounds().Dy(), nil
}

// fit makes a picture no longer than an edge, on white where one sees through it.
func fit(from image.Image, edge int) *image.RGBA {
	b := from.Bounds()
	w, h := b.Dx(), b.Dy()
	if longer := max(w, h); longer > edge {
		w, h = max(1, w*edge/longer), max(1, h*edge/longer)
	}
	to := image.NewRGBA(image.Rect(0, 0, w, h))
	draw.Draw(to, to.Bounds(), image.White, image.Point{}, draw.Src)
	draw.ApproxBiLinear.Scale(to, to.Bounds(), from, b, draw.Over, nil)
	return to
}

// upright turns a picture as its mark says: 1 as it is, 2 to 8 mirrored and turned as the standard of camera files
// numbers them.
func upright(from *image.RGBA, mark int) *image.RGBA {
	w, h := from.Bounds().Dx(), from.Bounds().Dy()
	if mark < 2 || mark > 8 {
		return from
	}
	turned := image.NewRGBA(image.Rect(0, 0, w, h))
	if mark >= 5 {
		turned = image.NewRGBA(image.Rect(0, 0, h, w))
	}
	for y := range h {
		for x := range w {
			tx, ty := x, y
			switch mark {
			case 2:
				tx = w - 1 - x
			case 3:
				tx, ty = w-1-x, h-1-y
			case 4:
				ty = h - 1 - y
			case 5:
				tx, ty = y, x
			case 6:
				tx, ty = h-1-y, x
			case 7:
				tx, ty = h-1-y, w-1-x
			case 8:
				tx, ty = y, w-1-x
			}
			turned.SetRGBA(tx, ty, from.RGBAAt(x, y))
		}
	}
	return turned
}

// The tag of the mark in a camera file, and how many tags are looked through.
const (
	orientationTag = 0x0112
	mostTags       = 500
)

// orientation is the mark of a JPEG by which it is to be turned, 1 for as it is. What cannot be read is 1.
func orientation(data []byte) int {
	if len(data) < 4 || data[0] != 0xff || data[1] != 0xd8 {
		return 1
	}
	for at := 2; at+4 <= len(data) && data[at] == 0xff; {
		marker, size := data[at+1], int(binary.BigEndian.Uint16(data[at+2:]))
		if marker == 0xda || size < 2 || at+2+size > len(data) {
			return 1
		}
		if segment := data[at+4 : at+2+size]; marker == 0xe1 && bytes.HasPrefix(segment, []byte("Exif\x00\x00")) {
			return markIn(segment[6:])
		}
		at += 2 + size
	}
	return 1
}

// markIn is the mark in the tags of a camera file.
func markIn(tiff []byte) int {
	if len(tiff) < 8 {
		return 1
	}
	var order binary.ByteOrder = binary.LittleEndian
	if string(tiff[:2]) == "MM" {
		order = binary.BigEndian
	}
	at := uint64(order.Uint32(tiff[4:]))
	if at+2 > uint64(len(tiff)) {
		return 1
	}
	count := int(order.Uint16(tiff[at:]))
	for i := range min(count, mostTags) {
		entry := at + 2 + 12*uint64(i)
		if entry+12 > uint64(len(tiff)) {
			return 1
		}
		if order.Uint16(tiff[entry:]) == orientationTag {
			return int(order.Uint16(tiff[entry+8:]))
		}
	}
	return 1
}
