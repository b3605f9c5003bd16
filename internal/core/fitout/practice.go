package fitout

// Practice are the workshop's own rules: the figures against which a fitout is
// held where no plate or data sheet gives one.
type Practice struct {
	RunnerFactor float64     `json:"runnerFactor" minimum:"0.1" maximum:"1" doc:"share of a runner's rating that is used; less off road"`
	Clearance    float64     `json:"clearance" minimum:"0" maximum:"100" unit:"mm" doc:"least room beside what moves, mm"`
	Headroom     float64     `json:"headroom" minimum:"0" maximum:"2000" unit:"mm" doc:"least room above a mattress, mm"`
	Step         float64     `json:"step" minimum:"0" maximum:"1000" unit:"mm" doc:"height of a step to stand on, mm"`
	OneLifts     float64     `json:"oneLifts" minimum:"1" maximum:"100" unit:"kg" doc:"most that one person lifts out, kg"`
	Standing     float64     `json:"standing" minimum:"0" maximum:"300" unit:"kg" doc:"a person who sits or stands on something, kg"`
	HighFrom     float64     `json:"highFrom" minimum:"0" maximum:"4000" unit:"mm" doc:"height above ground from which only light things belong, mm"`
	HeavyFrom    float64     `json:"heavyFrom" minimum:"1" maximum:"1000" unit:"kg" doc:"mass from which a single thing counts as heavy, kg"`
	Wind         float64     `json:"wind" minimum:"0" maximum:"500" unit:"Pa" doc:"wind under an open lid, N/m²"`
	Close        float64     `json:"close" minimum:"0" maximum:"0.5" doc:"share of a limit below which what is left counts as close"`
	FrontShare   float64     `json:"frontShare" minimum:"0" maximum:"0.9" doc:"least share of the gross on the front axle, for steering"`
	SideShare    float64     `json:"sideShare" minimum:"0" maximum:"0.5" doc:"share of the gross by which one side may be heavier"`
	TipLoss      float64     `json:"tipLoss" minimum:"0" maximum:"45" unit:"°" doc:"side tip angle that the load may take, °"`
	BallLeast    float64     `json:"ballLeast" minimum:"0" maximum:"0.5" doc:"least ball mass as a share of the trailer's mass"`
	BallMost     float64     `json:"ballMost" minimum:"0" maximum:"0.5" doc:"most ball mass as a share of the trailer's mass"`
	UpgradeShare float64     `json:"upgradeShare" minimum:"0" maximum:"1" doc:"share by which a certified upgrade is taken to raise a rating at most"`
	LongestCut   float64     `json:"longestCut" minimum:"0" maximum:"3000" unit:"mm" doc:"longest wheelbase extension that is thought of, mm"`
	Restraint    Restraint   `json:"restraint"`
	Uncertainty  Uncertainty `json:"uncertainty"`
}

// Uncertainty are the standard uncertainties of masses by where they come from,
// and of stations.
type Uncertainty struct {
	Weighed    float64 `json:"weighed" minimum:"0" maximum:"1" doc:"share of a mass that was weighed"`
	Resolution float64 `json:"resolution" minimum:"0" maximum:"1000" unit:"kg" doc:"step of the scale; its part is at least this over √12, kg"`
	DataSheet  float64 `json:"dataSheet" minimum:"0" maximum:"1" doc:"share of a mass from plate or data sheet"`
	Material   float64 `json:"material" minimum:"0" maximum:"1" doc:"share of a mass calculated from material; all parts of one material err together"`
	Estimate   float64 `json:"estimate" minimum:"0" maximum:"1" doc:"share of an estimated mass"`
	Station    float64 `json:"station" minimum:"0" maximum:"1000" unit:"mm" doc:"of the place of a mass along the vehicle, mm"`
	Split      float64 `json:"split" minimum:"0" maximum:"0.5" doc:"of the front's share of an assumed axle split"`
}

// Restraint are the accelerations that cargo is held against, as shares of g.
// They are cargo practice, not a crash rating.
type Restraint struct {
	Forward  float64 `json:"forward" minimum:"0" maximum:"50" doc:"× g"`
	Rearward float64 `json:"rearward" minimum:"0" maximum:"50" doc:"× g"`
	Sideways float64 `json:"sideways" minimum:"0" maximum:"50" doc:"× g"`
	Upward   float64 `json:"upward" minimum:"0" maximum:"50" doc:"× g"`
}

// NewPractice returns the usual figures of the trade, with the restraint of a
// region: in Australia and New Zealand 0.8, 0.5, 0.5 and 0.2 g is cargo practice;
// EN 12195-1 asks for nothing upward and for 0.6 sideways of what can tip. Where
// no table is at hand the first is taken.
func NewPractice(region Region) Practice {
	p := Practice{
		RunnerFactor: 0.6, Clearance: 3, Headroom: 550, Step: 250, OneLifts: 25, Standing: 100, HighFrom: 1400, HeavyFrom: 25,
		Wind: 60, Close: 0.03, FrontShare: 0.35, SideShare: 0.04,
		TipLoss: 8, BallLeast: 0.05, BallMost: 0.15, UpgradeShare: 0.15, LongestCut: 600,
		Restraint: Restraint{Forward: 0.8, Rearward: 0.5, Sideways: 0.5, Upward: 0.2},
		Uncertainty: Uncertainty{Weighed: 0.01, Resolution: 0.1, DataSheet: 0.03, Material: 0.08, Estimate: 0.15, Station: 10,
			Split: 0.03},
	}
	switch region {
	case UKEurope:
		p.Restraint = Restraint{Forward: 0.8, Rearward: 0.5, Sideways: 0.6, Upward: 0}
		p.BallLeast = 0.04
	case NorthAmerica:
		p.BallLeast = 0.1
	}
	return p
}

// Figures are the figures of the workshop's rules by their path, such as headroom or restraint/forward.
func (p *Practice) Figures() map[string]*float64 {
	r, u := &p.Restraint, &p.Uncertainty
	return map[string]*float64{
		"runnerFactor": &p.RunnerFactor, "clearance": &p.Clearance, "headroom": &p.Headroom, "step": &p.Step,
		"oneLifts": &p.OneLifts, "standing": &p.Standing, "highFrom": &p.HighFrom, "heavyFrom": &p.HeavyFrom,
		"wind": &p.Wind, "close": &p.Close, "frontShare": &p.FrontShare, "sideShare": &p.SideShare, "tipLoss": &p.TipLoss,
		"ballLeast": &p.BallLeast, "ballMost": &p.BallMost, "upgradeShare": &p.UpgradeShare, "longestCut": &p.LongestCut,
		"restraint/forward": &r.Forward, "restraint/rearward": &r.Rearward, "restraint/sideways": &r.Sideways,
		"restraint/upward": &r.Upward, "uncertainty/weighed": &u.Weighed, "uncertainty/resolution": &u.Resolution,
		"uncertainty/dataSheet": &u.DataSheet, "uncertainty/material": &u.Material, "uncertainty/estimate": &u.Estimate,
		"uncertainty/station": &u.Station, "uncertainty/split": &u.Split,
	}
}
