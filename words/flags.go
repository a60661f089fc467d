package words

import "keeler/core/treatment"

var flags = map[treatment.Flag]string{
	treatment.Twice:    "two doses",
	treatment.NotInJob: "not in this job",
	treatment.Moved:    "moved meanwhile",
	treatment.Ended:    "had ended",
	treatment.Clock:    "phone’s clock is off",
	treatment.NoBatch:  "from no batch",
	treatment.TooMuch:  "more than meant",
	treatment.Strong:   "stronger than meant",
	treatment.NotMade:  "from a batch not made",
	treatment.Again:    "dosed again",
	treatment.PastDay:  "past its day",
}

// Flags tells what about a record should be looked at.
func Flags(codes []string) []string {
	out := make([]string, len(codes))
	for i, c := range codes {
		out[i] = flags[treatment.Flag(c)]
	}
	return out
}
