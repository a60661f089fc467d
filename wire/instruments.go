package wire

// Instrument is a balance or a thermometer that Keeler reads by itself.
type Instrument struct {
	ID        string  `json:"id"`
	Kind      string  `json:"kind" enum:"balance,probe"`
	Connected bool    `json:"connected"`
	Trouble   string  `json:"trouble,omitempty" enum:"away,silent,garbled" doc:"Why it is not connected: nobody answers, nothing comes, or what comes cannot be read."`
	Division  float64 `json:"division,omitempty" doc:"Its readability, g or °C."`
	Capacity  float64 `json:"capacity,omitempty" doc:"g or °C; left out when not said."`
	Simulated bool    `json:"simulated,omitempty" doc:"A stand-in: it can be poured onto, emptied and heated by command."`
}

// Instruments is all that are set up.
type Instruments struct {
	Instruments []Instrument `json:"instruments"`
}

// Reading is what an instrument shows now.
type Reading struct {
	Instrument string  `json:"instrument"`
	State      string  `json:"state" enum:"stable,unstable,overload,lost" doc:"Only a stable one is ever taken."`
	Value      float64 `json:"value" doc:"g or °C; 0 when overloaded or lost."`
}

// Command is what an instrument is asked to do.
type Command struct {
	Instrument string  `json:"instrument" maxLength:"20"`
	Do         string  `json:"do" enum:"tare,zero,pour,lift,heat" doc:"Tare and zero: a balance. Pour (so many g), lift (empty it) and heat (to so many °C): a simulated one."`
	Amount     float64 `json:"amount,omitempty" doc:"g or °C, up to 20000."`
}
