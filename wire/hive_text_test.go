package wire

import "testing"

func TestParseHive(t *testing.T) {
	for text, want := range map[string]string{
		"deep 10": "deep 10", " Deep 10+shallow 10 ": "deep 10 + shallow 10", "medium ccfde": "medium ccfde", "deep cc": "deep 2",
	} {
		boxes, err := ParseHive(text)
		if err != nil || FormatHive(boxes) != want {
			t.Errorf("%q: %q %v", text, FormatHive(boxes), err)
		}
	}
	for _, text := range []string{"", "10", "deep", "deep 0", "deep 21", "deep -3", "deep cx", "tower 10", "deep 10 +", "deep 10 10",
		"deep 1+deep 1+deep 1+deep 1+deep 1+deep 1+deep 1"} {
		if boxes, err := ParseHive(text); err == nil {
			t.Errorf("%q was taken as %v", text, boxes)
		}
	}
}

// What is read is written and read again as the same.
func FuzzParseHive(f *testing.F) {
	f.Add("deep 10 + medium ccccf")
	f.Fuzz(func(t *testing.T, text string) {
		boxes, err := ParseHive(text)
		if err != nil {
			return
		}
		again, err := ParseHive(FormatHive(boxes))
		if err != nil || FormatHive(again) != FormatHive(boxes) {
			t.Errorf("%q became %q: %v", text, FormatHive(boxes), err)
		}
	})
}

// A blank card is no product: it has no name, and its figures can be.
func TestBlankCards(t *testing.T) {
	for _, c := range BlankCards() {
		kind := c.Name
		if c.Content.Contents != "" {
			t.Errorf("%s says what is in it", kind)
		}
		if c.Content.Pad != nil {
			c.Content.Pad.Pure = 10 // the label says
		}
		if err := c.Check(); err != nil {
			t.Errorf("%s: %v", kind, err)
		}
		c.Name = " "
		if c.Check() == nil {
			t.Errorf("%s without a name was taken", kind)
		}
	}
}
