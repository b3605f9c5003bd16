package picture

import (
	"bytes"
	"encoding/binary"
	"image"
	"image/color"
	"image/jpeg"
	"image/png"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// corner is a picture of 40 × 20 px that is white, and red in its upper left.
func corner() *image.RGBA {
	img := image.NewRGBA(image.Rect(0, 0, 40, 20))
	for y := range 20 {
		for x := range 40 {
			img.Set(x, y, color.White)
			if x < 10 && y < 10 {
				img.Set(x, y, color.RGBA{200, 0, 0, 255})
			}
		}
	}
	return img
}

// photo is a JPEG of it with a mark, and with what a camera writes of its place.
func photo(t *testing.T, mark uint16, order binary.ByteOrder) []byte {
	var plain bytes.Buffer
	require.NoError(t, jpeg.Encode(&plain, corner(), &jpeg.Options{Quality: 95}))
	head := "II*\x00"
	if order == binary.ByteOrder(binary.BigEndian) {
		head = "MM\x00*"
	}
	var tiff bytes.Buffer
	tiff.WriteString(head)
	for _, v := range []any{uint32(8), uint16(1), uint16(orientationTag), uint16(3), uint32(1), mark, uint16(0), uint32(0)} {
		require.NoError(t, binary.Write(&tiff, order, v))
	}
	tiff.WriteString("GPSLatitude 12.3456 secret place")
	segment := append([]byte("Exif\x00\x00"), tiff.Bytes()...)
	out := []byte{0xff, 0xd8, 0xff, 0xe1, 0, 0}
	binary.BigEndian.PutUint16(out[4:], uint16(len(segment)+2))
	out = append(out, segment...)
	return append(out, plain.Bytes()[2:]...)
}

// A photo stands upright whichever way the camera was held, and nothing of where it was taken stays in it.
func TestPhotosStandUprightWithoutTheirPlace(t *testing.T) {
	corners := map[int][2]int{1: {0, 0}, 2: {1, 0}, 3: {1, 1}, 4: {0, 1}, 5: {0, 0}, 6: {1, 0}, 7: {1, 1}, 8: {0, 1}}
	for mark, at := range corners {
		for _, order := range []binary.ByteOrder{binary.LittleEndian, binary.BigEndian} {
			out, w, h, err := Take(photo(t, uint16(mark), order), KeptEdge)
			require.NoError(t, err)
			if mark >= 5 {
				assert.Equal(t, []int{20, 40}, []int{w, h})
			} else {
				assert.Equal(t, []int{40, 20}, []int{w, h})
			}
			img, err := jpeg.Decode(bytes.NewReader(out))
			require.NoError(t, err)
			_, g, _, _ := img.At(at[0]*(w-1), at[1]*(h-1)).RGBA()
			assert.Less(t, g>>8, uint32(90), "mark %d: the red corner", mark)
			assert.NotContains(t, string(out), "secret place")
			assert.NotContains(t, string(out), "Exif")
		}
	}
}

func TestPhotosAreMadeSmall(t *testing.T) {
	var data bytes.Buffer
	require.NoError(t, png.Encode(&data, image.NewRGBA(image.Rect(0, 0, 3000, 10))))
	_, w, h, err := Take(data.Bytes(), PackEdge)
	require.NoError(t, err)
	assert.Equal(t, []int{900, 3}, []int{w, h})
}

// What is no photo, or claims to be a huge one, is refused before it is unpacked.
func TestWhatIsNoPhotoIsRefused(t *testing.T) {
	for name, data := range map[string][]byte{"nothing": {}, "text": []byte("hello"), "svg": []byte("<svg xmlns='http://www.w3.org/2000/svg'/>"),
		"half a photo": photo(t, 1, binary.LittleEndian)[:80], "pdf": []byte("%PDF-1.4"), "gif": []byte("GIF89a" + strings.Repeat("\x00", 40))} {
		_, _, _, err := Take(data, KeptEdge)
		assert.ErrorIs(t, err, ErrNone, name)
	}
	var data bytes.Buffer
	require.NoError(t, png.Encode(&data, image.NewRGBA(image.Rect(0, 0, 2, 2))))
	bomb := data.Bytes()
	binary.BigEndian.PutUint32(bomb[16:], 60_000)
	binary.BigEndian.PutUint32(bomb[20:], 60_000)
	_, _, _, err := Take(bomb, KeptEdge)
	assert.Error(t, err)
	_, _, _, err = Take(make([]byte, MostBytes+1), KeptEdge)
	assert.ErrorContains(t, err, "accepted are up to 25 MB")
}

func FuzzTake(f *testing.F) {
	f.Add([]byte{0xff, 0xd8, 0xff, 0xe1, 0, 8, 'E', 'x', 'i', 'f', 0, 0})
	f.Fuzz(func(_ *testing.T, data []byte) {
		_ = orientation(data)
		_, _, _, _ = Take(data, 100)
	})
}
