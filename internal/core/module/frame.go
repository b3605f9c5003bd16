package module

import "zaino/internal/core/fitout"

// out is the direction in which a face looks.
func out(f fitout.Face) fitout.Point {
	switch f {
	case fitout.FaceRear:
		return fitout.Point{X: 1}
	case fitout.FaceFront:
		return fitout.Point{X: -1}
	case fitout.FaceRight:
		return fitout.Point{Y: 1}
	case fitout.FaceLeft:
		return fitout.Point{Y: -1}
	case fitout.FaceTop:
		return fitout.Point{Z: 1}
	}
	return fitout.Point{}
}

// across tells whether a module that faces so has its depth across the vehicle.
func across(f fitout.Face) bool { return f == fitout.FaceLeft || f == fitout.FaceRight }

// Depth returns how deep a module is behind its face, mm, and Width how wide
// its face is.
func Depth(i *fitout.Item) float64 {
	switch {
	case i.Module.Faces == fitout.FaceTop:
		return i.Size.Height
	case across(i.Module.Faces):
		return i.Size.Width
	}
	return i.Size.Length
}

// Width returns how wide the face of a module is, mm.
func Width(i *fitout.Item) float64 {
	if across(i.Module.Faces) {
		return i.Size.Length
	}
	return i.Size.Width
}
