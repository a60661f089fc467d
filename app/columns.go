package app

import (
	"slices"
	"strings"

	"keeler/core/calendar"
)

// columnNames are the names that other people's tables have for a column, in lower case and with
// underscores for spaces; English ones first.
var columnNames = map[string][]string{
	"yard":            {"apiary", "site", "location", "stand", "bienenstand", "standort", "rucher", "apiario", "apiaire"},
	"colony":          {"hive", "hive_no", "hive_number", "colony_no", "volk", "volk_nr", "beute", "ruche", "colonie", "colmena", "arnia"},
	"on":              {"date", "day", "given", "given_on", "datum", "tag", "date_de_traitement", "fecha", "data"},
	"out":             {"out_on", "removed", "removed_on", "taken_out", "end", "end_date", "entfernt", "entnahme", "ende", "retrait", "retirada"},
	"kind":            {"type", "art"},
	"method":          {"way", "methode", "verfahren", "méthode", "metodo"},
	"product":         {"medicine", "treatment", "substance", "mittel", "arzneimittel", "produit", "médicament", "producto", "prodotto"},
	"lot":             {"lot_no", "lot_number", "batch", "batch_no", "charge", "chargen_nr", "chargennummer", "lote", "lotto"},
	"amount":          {"dose", "quantity", "menge", "dosis", "quantité", "cantidad", "quantità"},
	"unit":            {"units", "einheit", "unité", "unidad", "unità"},
	"person":          {"by", "given_by", "who", "applied_by", "anwender", "name", "personne", "persona"},
	"reason":          {"indication", "why", "grund", "anlass", "motif", "motivo"},
	"rule":            {"permit", "authorisation", "authorization", "zulassung"},
	"withdrawal_days": {"withdrawal", "waiting_days", "wartezeit", "délai_d'attente", "tiempo_de_espera"},
	"note":            {"notes", "remark", "remarks", "comment", "bemerkung", "anmerkung", "remarque", "nota"},
	"mites":           {"varroa", "mite_count", "milben", "varroas", "ácaros"},
	"bees":            {"sample", "bienen", "abeilles", "abejas"},
	"days":            {"board_days", "tage", "jours", "días"},
}

// columnOf finds which of some columns a head of a table means; empty where it is none of them.
func columnOf(head string, columns []string) string {
	if slices.Contains(columns, head) {
		return head
	}
	for _, c := range columns {
		if slices.Contains(columnNames[c], head) {
			return c
		}
	}
	return ""
}

// DayForm is how a table writes days.
type DayForm string

const (
	ISODays      DayForm = "iso"       // 2026-11-14
	DayMonthYear DayForm = "day_month" // 14.11.2026, 14/11/2026
	MonthDayYear DayForm = "month_day" // 11/14/2026
)

// dayFormOf tells how the days of a column are written; sure is false where nothing tells day and month
// apart: then it is the given one.
func dayFormOf(cells []string, otherwise DayForm) (form DayForm, sure bool) {
	form, sure = ISODays, true
	for _, cell := range cells {
		first, second, dotted, is := dayParts(cell)
		switch {
		case !is:
		case dotted || first > 12:
			return DayMonthYear, true
		case second > 12:
			return MonthDayYear, true
		default:
			form, sure = otherwise, false
		}
	}
	return form, sure
}

// dayParts reads the first two figures of a day that is not written year first.
func dayParts(cell string) (first, second int, dotted, is bool) {
	parts := strings.FieldsFunc(cell, func(r rune) bool { return r == '.' || r == '/' || r == '-' })
	if len(parts) != 3 || len(parts[0]) > 2 || len(parts[2]) != 4 {
		return 0, 0, false, false
	}
	return number(parts[0]), number(parts[1]), strings.Contains(cell, "."), true
}

// number is a short text of figures as a number; 0 of any other.
func number(text string) (n int) {
	for _, r := range text {
		if r < '0' || r > '9' || len(text) > 4 {
			return 0
		}
		n = 10*n + int(r-'0')
	}
	return n
}

// rewriteDay writes a day of a table as year, month and day; what is none stays as it is.
func rewriteDay(cell string, form DayForm) string {
	first, second, _, is := dayParts(cell)
	if !is {
		return cell
	}
	day, month, year := first, second, number(cell[len(cell)-4:])
	if form == MonthDayYear {
		day, month = second, first
	}
	of := calendar.Of(year, month, day)
	if y, m, d := of.Date(); y != year || m != month || d != day {
		return cell // there is no such day, and it is told so
	}
	return of.String()
}
