package reach

import "slices"

// mostAtOnce is how many visits may work on one day.
const mostAtOnce = 4

// slot is a visit with a place of its own among those that work on the same days.
type slot struct {
	Visit
	bit int
}

// slotted gives visits their places; fits is false where too many work at once.
func slotted(visits []Visit) (out []slot, fits bool) {
	sorted := slices.Clone(visits)
	slices.SortStableFunc(sorted, func(a, b Visit) int { return a.From - b.From })
	free := [mostAtOnce]int{} // the first day on which each place is free
	for _, v := range sorted {
		place := slices.IndexFunc(free[:], func(day int) bool { return day <= v.From })
		if place < 0 {
			return nil, false
		}
		free[place] = v.To + 1
		out = append(out, slot{v, 1 << place})
	}
	return out, true
}

// Where a mite is: on a bee, or in a cell that opens in so many days.
const (
	bee    = 0
	worker = bee // + 1 to workerDays
	drone  = worker + workerDays
	places = drone + droneDays + 1
)

// chances are what is to come for a mite: to be met once more at least, and twice.
type chances struct{ once, twice float64 }

// met is what was to come, with a meeting of such a chance before it.
func (c chances) met(chance float64) chances {
	return chances{chance + (1-chance)*c.once, chance*c.once + (1-chance)*c.twice}
}

// ahead is what is to come on a day, by where a mite is and which of the visits at work
// have met it.
type ahead [places][1 << mostAtOnce]chances

type colony struct{ brood, drones bool }

// reach follows mites backwards from the last day: what is to come for one that is on a
// bee or in a cell goes by where it can be on the next.
func (c colony) reach(share, ride float64, visits []slot) Reach {
	last, masks := 0, 1
	for _, v := range visits {
		last, masks = max(last, v.To), max(masks, 2*v.bit)
	}
	var next ahead
	for day := last; day >= 0; day-- {
		var now ahead
		for place := range places {
			for mask := range masks {
				now[place][mask] = c.day(day, place, mask, ride, visits, &next)
			}
		}
		next = now
	}
	return c.sum(share, &next)
}

// day is what is to come for one mite from a day on. Masks that no visit has given are
// never asked for; they cost nothing that matters.
func (c colony) day(day, place, mask int, ride float64, visits []slot, next *ahead) chances {
	meetings := 0
	var lots [mostAtOnce]float64 // chances under the cap, of visits that end unmet
	n := 0
	for _, v := range visits {
		if day < v.From || day > v.To {
			continue
		}
		if place == bee && mask&v.bit == 0 {
			meetings++
			mask |= v.bit
		}
		if day < v.To {
			continue
		}
		if mask&v.bit == 0 {
			lots[n] = v.Caps
			n++
		}
		mask &^= v.bit
	}
	out := c.moved(place, mask, ride, next)
	for _, chance := range lots[:n] {
		out = out.met(chance)
	}
	for range meetings {
		out = out.met(1)
	}
	return out
}

// moved is where a mite can be on the next day.
func (c colony) moved(place, mask int, ride float64, next *ahead) chances {
	switch {
	case place == drone+1:
		return next[bee][mask]
	case place != bee:
		return next[place-1][mask]
	case !c.brood:
		return next[bee][mask]
	}
	enters, drones := 1/ride, 0.0
	if c.drones {
		drones = enters * droneEntry
	}
	stay, in, inDrone := next[bee][mask], next[worker+workerDays][mask], next[drone+droneDays][mask]
	mix := func(stay, in, inDrone float64) float64 {
		return (1-enters)*stay + (enters-drones)*in + drones*inDrone
	}
	return chances{mix(stay.once, in.once, inDrone.once), mix(stay.twice, in.twice, inDrone.twice)}
}

// sum adds the mites of the start up, by where they are.
func (c colony) sum(share float64, from *ahead) Reach {
	var out Reach
	add := func(place, opens int, share float64) Cohort {
		ahead := from[place][0]
		out.Once += share * ahead.once
		out.Twice += share * ahead.twice
		return Cohort{opens, share, ahead.once}
	}
	out.OnBees = add(bee, 0, share)
	inDrones := 0.0
	if c.drones {
		inDrones = droneEntry * droneDays / (droneEntry*droneDays + (1-droneEntry)*workerDays)
	}
	for opens := 1; c.brood && opens <= workerDays; opens++ {
		out.Worker = append(out.Worker, add(worker+opens, opens, (1-share)*(1-inDrones)/workerDays))
	}
	for opens := 1; c.drones && opens <= droneDays; opens++ {
		out.Drone = append(out.Drone, add(drone+opens, opens, (1-share)*inDrones/droneDays))
	}
	return out
}
