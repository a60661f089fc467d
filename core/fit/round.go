package fit

import "keeler/core/calendar"

// Pace is the seconds that a crew takes for one colony (docs/sources.md, Dribble): half a
// minute for three, 1½ minutes alone, a minute for two, which lies between; a
// hive of several boxes takes as much longer as 2½ minutes are than 1½.
func Pace(people, boxes int) float64 {
	seconds := 30.0
	switch people {
	case 0, 1:
		seconds = 90
	case 2:
		seconds = 60
	}
	if boxes > 1 {
		seconds *= 150.0 / 90
	}
	return seconds
}

// Share is what is done on one day of a round: colonies first to last − 1, and
// the minutes that they take.
type Share struct {
	Day         calendar.Day
	First, Last int
	Minutes     float64
}

// Split deals colonies in their order out to days, as many as the windows of
// each take, so that what is mixed is used on its day. What finds no room is left:
// done is how many are dealt out. seconds has one entry a colony.
func Split(seconds []float64, windows []Window) (shares []Share, done int) {
	for i := 0; i < len(windows) && done < len(seconds); i++ {
		w := windows[i]
		room := float64(w.Minutes() * 60)
		first := done
		used := 0.0
		for done < len(seconds) && used+seconds[done] <= room {
			used += seconds[done]
			done++
		}
		if done == first {
			continue
		}
		if n := len(shares); n > 0 && shares[n-1].Day == w.Day {
			shares[n-1].Last = done
			shares[n-1].Minutes += used / 60
			continue
		}
		shares = append(shares, Share{Day: w.Day, First: first, Last: done, Minutes: used / 60})
	}
	return shares, done
}
