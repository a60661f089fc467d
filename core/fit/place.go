package fit

// South and North are the latitudes, in degrees, between which bees are kept.
const (
	South = -66.0
	North = 70.0
)
