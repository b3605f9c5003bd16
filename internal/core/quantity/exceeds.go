package quantity

// Tolerance is what two figures may differ by and still be one: far below what any
// scale or tape reads, far above what sums of many figures round away. It is in the
// unit of what is compared.
const Tolerance = 1e-6

// Exceeds tells whether a value is more than it may be. A load at exactly its limit
// is within it. Every comparison with a limit goes through here.
func Exceeds(value, most float64) bool { return value > most+Tolerance }
