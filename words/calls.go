package words

// Call tells something to see to: of a batch or lot by its name.
func Call(kind, name string) (title, why string) {
	s := said.Calls[kind]
	return fill(s.Title, func(string) string { return name }), s.Why
}
