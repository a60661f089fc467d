package wire

// ArchiveTaken is what came in with an archive.
type ArchiveTaken struct {
	Colonies     int `json:"colonies" doc:"Living and closed."`
	Applications int `json:"applications" doc:"Lines of the register."`
}
