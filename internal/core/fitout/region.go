package fitout

// Region picks the vocabulary of a job.
type Region string

// The regions, each with its own words for the same model.
const (
	AustraliaNZ  Region = "anz"
	UKEurope     Region = "uk-eu"
	NorthAmerica Region = "na"
)

// Regions lists the regions in the order in which they are offered.
var Regions = [...]Region{AustraliaNZ, UKEurope, NorthAmerica}

// Units picks the units in which a job is shown.
type Units string

// The systems of units.
const (
	Metric Units = "metric"
	US     Units = "us"
)

// Term is a concept of the trade that each region has its own word for.
type Term string

// The terms of the vocabulary.
const (
	TermGross       Term = "gross"
	TermCombination Term = "combination"
	TermFrontAxle   Term = "frontAxle"
	TermRearAxle    Term = "rearAxle"
	TermTare        Term = "tare"
	TermKerb        Term = "kerb"
	TermRunning     Term = "runningOrder"
	TermUnladen     Term = "unladen"
	TermBall        Term = "ball"
	TermTrailer     Term = "trailer"
	TermTub         Term = "tub"
	TermTray        Term = "tray"
	TermCanopy      Term = "canopy"
	TermPlacard     Term = "placard"
	TermBonnet      Term = "bonnet"
	TermTyre        Term = "tyre"
)

// words holds each term in the order of Regions.
var words = map[Term][3]string{
	TermGross:       {"GVM", "MAM", "GVWR"},
	TermCombination: {"GCM", "gross train mass", "GCWR"},
	TermFrontAxle:   {"front axle rating", "front axle mass limit", "front GAWR"},
	TermRearAxle:    {"rear axle rating", "rear axle mass limit", "rear GAWR"},
	TermTare:        {"tare (10 L fuel)", "tare (10 L fuel)", "tare (10 L fuel)"},
	TermKerb:        {"kerb mass (full tank)", "kerb mass (full tank)", "curb weight (full tank)"},
	TermRunning: {"mass in running order (90 % fuel, 75 kg driver)", "mass in running order (90 % fuel, 75 kg driver)",
		"weight in running order (90 % fuel, 75 kg driver)"},
	TermUnladen: {"unladen (no fuel)", "unladen (no fuel)", "dry weight (no fuel)"},
	TermBall:    {"ball mass", "nose weight", "tongue weight"},
	TermTrailer: {"ATM", "trailer MAM", "trailer GVWR"},
	TermTub:     {"tub", "load bed", "bed"},
	TermTray:    {"tray", "flatbed", "flatbed"},
	TermCanopy:  {"canopy", "canopy", "topper"},
	TermPlacard: {"payload placard", "payload plate", "door placard"},
	TermBonnet:  {"bonnet", "bonnet", "hood"},
	TermTyre:    {"tyre", "tyre", "tire"},
}

// Word returns the region's word for a term; an unknown region gets the words
// of Australia and New Zealand.
func (r Region) Word(t Term) string {
	for i, region := range Regions {
		if region == r {
			return words[t][i]
		}
	}
	return words[t][0]
}

// Vocabulary returns every term in every region's words.
func Vocabulary() map[Region]map[Term]string {
	all := make(map[Region]map[Term]string, len(Regions))
	for _, region := range Regions {
		all[region] = make(map[Term]string, len(words))
		for term := range words {
			all[region][term] = region.Word(term)
		}
	}
	return all
}
