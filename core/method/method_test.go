package method

import "testing"

// What adds up as oxalic acid of the day, what is in the hive until it comes out, and what is dosed by seams.
func TestNames(t *testing.T) {
	for name, want := range map[Name][3]bool{
		Dribble: {true, false, true}, Vapour: {true, false, false}, Strip: {false, true, true}, Pad: {false, true, false}, Other: {false, false, false},
	} {
		if got := [3]bool{name.Oxalic(), name.Stays(), name.BySeams()}; got != want {
			t.Errorf("%s: oxalic, stays and by seams are %v, want %v", name, got, want)
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
