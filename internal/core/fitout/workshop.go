package fitout

import "slices"

// TakeWorkshop takes over what belongs to the workshop and not to one job: its figures, runners, stock, goods with
// their prices, pace, people and terms. The number and date of the quote, decisions, reasons and the first day stay.
func (b *Build) TakeWorkshop(from *Build) {
	number, date := b.Money.Number, b.Money.Date
	b.Shop, b.Money = from.Shop, from.Money
	b.Money.Number, b.Money.Date = number, date
	b.Runners, b.Sheets, b.Bars = slices.Clone(from.Runners), slices.Clone(from.Sheets), slices.Clone(from.Bars)
	b.Goods, b.Pace, b.Makers = slices.Clone(from.Goods), slices.Clone(from.Pace), slices.Clone(from.Makers)
}
