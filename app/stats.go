package app

// Stats is what whoever watches over a Keeler wants to know of it.
type Stats struct {
	HashesWaiting, HashesAtWork int64 // passwords that are looked at
	LinesRefused                int64 // of rounds, since it was started
}

// Stats tells how it goes.
func (a *App) Stats() Stats {
	return Stats{HashesWaiting: waiting.Load(), HashesAtWork: int64(len(atOnce)), LinesRefused: a.refused.Load()}
}
