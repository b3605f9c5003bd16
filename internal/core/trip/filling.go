package trip

import "slices"

// Line is a way as far as its fuel goes: pumps and legs in a line, one tank in which all is put
// together. Litres are what can be used.
type Line struct {
	Capacity float64 // litres
	Aboard   float64 // on reaching the first stop, litres
	Stops    []Pump  // one at the begin of each leg
	Legs     []Leg
}

// Pump is what a stop has of the fuel that is burned.
type Pump struct {
	Sure  bool // it is planned with
	Price int  // of a litre, in 1/10 000 of a currency
}

// Leg is one leg as far as its fuel goes, litres.
type Leg struct {
	Fuel    float64 // that it takes
	Reserve float64 // that must be left at its end
}

// Filling is what is bought at each stop of a line, litres.
type Filling struct {
	Buy  []float64
	Cost int // in cents, of sums rounded at each stop
}

// Impossible says on which way a line cannot be driven.
type Impossible struct {
	From, To int     // stops: the last sure pump and the next one, or the end
	Lacking  float64 // litres
}

// Error puts it into words.
func (i Impossible) Error() string { return "the tanks do not reach from one sure pump to the next" }

// wants are the litres that must have been bought in all when each stop is left: B_i ≥ Σ of the
// fuel up to the next sure pump and its reserves, less what was aboard.
func (l *Line) wants() []float64 {
	wants, used := make([]float64, len(l.Legs)), 0.0
	for i, leg := range l.Legs {
		used += leg.Fuel
		wants[i] = used + leg.Reserve - l.Aboard
	}
	for i := len(wants) - 2; i >= 0; i-- {
		if !l.Stops[i+1].Sure { // nothing can be relied on there: what is wanted after it is wanted before it
			wants[i] = max(wants[i], wants[i+1])
		}
	}
	return wants
}

// check tells where the way cannot be driven with full tanks.
func (l *Line) check() error {
	wants, bought, used, last := l.wants(), 0.0, 0.0, 0
	for i := range l.Legs {
		if l.Stops[i].Sure {
			last, bought = i, max(bought, used+l.Capacity-l.Aboard)
		}
		if lacking := wants[i] - bought; lacking > 1e-9 {
			to := i + 1
			for to < len(l.Legs) && !l.Stops[to].Sure {
				to++
			}
			return Impossible{last, to, lacking}
		}
		used += l.Legs[i].Fuel
	}
	return nil
}

// Lightest leaves each stop with what the way to the next sure pump takes and the reserve, and
// nothing more.
func (l *Line) Lightest() (Filling, error) {
	if err := l.check(); err != nil {
		return Filling{}, err
	}
	f, bought := Filling{Buy: make([]float64, len(l.Legs))}, 0.0
	for i, want := range l.wants() {
		if l.Stops[i].Sure {
			f.Buy[i] = max(0, want-bought)
			bought += f.Buy[i]
		}
	}
	f.price(l)
	return f, nil
}

// Cheapest buys for the least money. It keeps in mind fuel that could still be bought at each pump
// that was passed, as far as the tank has room for it, and takes the cheapest of it only when it is
// wanted: a pump that is cheaper than what is in mind takes its place. Exact for a line with fixed
// fuel of the legs.
func (l *Line) Cheapest() (Filling, error) {
	if err := l.check(); err != nil {
		return Filling{}, err
	}
	f := Filling{Buy: make([]float64, len(l.Legs))}
	type option struct {
		stop   int
		litres float64
	}
	var mind []option // by price, the cheapest first
	wants, bought, used := l.wants(), 0.0, 0.0
	for i := range l.Legs {
		if l.Stops[i].Sure {
			price := l.Stops[i].Price
			mind = slices.DeleteFunc(mind, func(o option) bool { return l.Stops[o.stop].Price > price })
			room := l.Capacity - (l.Aboard + bought - used)
			for _, o := range mind {
				room -= o.litres
			}
			if room > 0 {
				mind = append(mind, option{i, room})
			}
		}
		for want := wants[i] - bought; want > 1e-12 && len(mind) > 0; {
			take := min(want, mind[0].litres)
			f.Buy[mind[0].stop] += take
			bought, want, mind[0].litres = bought+take, want-take, mind[0].litres-take
			if mind[0].litres <= 1e-12 {
				mind = mind[1:]
			}
		}
		used += l.Legs[i].Fuel
	}
	f.price(l)
	return f, nil
}

// price counts what a filling costs.
func (f *Filling) price(l *Line) {
	f.Cost = 0
	for i, litres := range f.Buy {
		f.Cost += Cents(litres, l.Stops[i].Price)
	}
}
