package method

import "testing"

// What adds up as oxalic acid of the day, and what is in the hive until it comes out.
func TestNames(t *testing.T) {
	for name, want := range map[Name][2]bool{Dribble: {true, false}, Vapour: {true, false}, Strip: {false, true}, Pad: {false, true}, Other: {false, false}} {
		if got := [2]bool{name.Oxalic(), name.Stays()}; got != want {
			t.Errorf("%s: oxalic and stays are %v, want %v", name, got, want)
		}
	}
	seen := map[Name]bool{}
	for _, name := range All {
		seen[name] = true
	}
	if len(seen) != len(All) || seen[Vapour] || seen[Other] {
		t.Errorf("worked out are %v", All)
	}
}
