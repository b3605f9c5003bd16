package scene

// SeatFoot is how far the seat of a person reaches below their middle, mm: down to what it turns on.
const SeatFoot = 500

// HammockBreadth is how broad the cloth of a hammock hangs with somebody in it, mm; drawn only.
const HammockBreadth = 600
