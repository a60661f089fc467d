package api_test

import (
	"database/sql"
	"strings"
	"testing"
)

// columns are where what is written in a request is kept, by schema and property.
var columns = map[string]string{
	"BenchBalance.name": "balances.name", "Vessel.name": "vessels.name", "SaveBatch.name": "batches.name", "BeginBench.order": "bench_runs.work_order",
	"BenchEvent.act": "bench_events.act", "BenchEvent.answer": "bench_events.answer", "BenchEvent.keeping": "batches.keeping",
	"StockEntry.reason": "stock_entries.reason", "Portion.vessel": "portions.vessel", "Remark.text": "batch_remarks.text",
	"Void.reason": "mite_counts.void_reason", "LabelCard.name": "label_cards.name", "TryCard.name": "label_cards.name", "Claim.login": "users.login", "Claim.operation": "operations.name",
	"Claim.time_zone": "operations.time_zone", "SaveColony.name": "colonies.name", "SaveColony.notes": "colonies.notes", "End.reason": "colonies.end_reason",
	"Treatment.what": "applications.product", "MiteCount.note": "mite_counts.note", "Inspection.note": "inspections.note", "Invite.note": "invitations.note",
	"JobColony.override": "job_colonies.override_reason", "SaveJob.name": "jobs.name", "SaveJob.rule": "jobs.rule_words",
	"SpendPieces.note": "spent_pieces.note", "SaveComparison.name": "comparisons.name", "ComparisonGroup.name": "comparison_colonies.in_group",
	"RemindMe.endpoint": "reminders.endpoint", "RemindMe.p256dh": "reminders.p256dh", "RemindMe.auth": "reminders.auth", "Reminded.endpoint": "reminders.endpoint",
	"Settings.time_zone": "operations.time_zone", "Settings.forecast": "operations.forecast_url", "Writes.currency": "operations.currency", "Settings.currency": "operations.currency",
	"SkipCall.key": "shelf_skips.what", "SkipCall.reason": "shelf_skips.reason",
	"SkipFollowups.key": "followup_skips.what", "SkipFollowups.reason": "followup_skips.reason",
	"Application.giver": "applications.giver_name", "Application.change_reason": "applications.change_reason", "OtherTreatment.giver": "applications.giver_name",
	"CorrectBatch.why": "batch_remarks.text", "Correction.why": "applications.change_reason", "Correction.giver": "applications.giver_name", "Correction.product": "applications.product",
	"Application.against": "applications.override_reason", "Application.reason": "applications.reason", "Join.login": "users.login",
	"MakeToken.name": "tokens.name", "SignIn.login": "sign_in_tries.login", "Lot.name": "lots.name", "Lot.supplier_no": "lots.supplier_no", "OtherTreatment.product": "applications.product",
	"OtherTreatment.rule_worked_under": "applications.rule_words", "SaveYard.name": "yards.name", "SaveYard.place": "yards.place", "SaveYard.registration_no": "yards.registration_no",
	"Settings.holder": "operations.holder", "Settings.holder_address": "operations.holder_address", "Settings.holder_no": "operations.holder_no",
	"Lot.supplier": "lots.supplier", "Lot.authorisation": "lots.authorisation",
	"SaveYard.notes": "yards.notes", "SaveYard.deep_from": "yards.deep_from", "SaveYard.deep_to": "yards.deep_to",
}

// elsewhere are lengths of what is kept within JSON, hashed, or not at all.
var elsewhere = map[string]bool{
	"SaveBatch.rule_worked_under": true, "Colony.name": true, "StripColony.name": true, "Card.name": true, "PadCard.name": true, "CardContent.contents": true, "CardContent.spent": true,
	"CardContent.preparation": true, "Application.given_on": true, "OtherTreatment.lot": true, "OtherTreatment.treated_for": true, "Correction.given_on": true, "Application.note": true, "OtherTreatment.note": true, "BenchEvent.instrument": true, "Command.instrument": true,
	"Claim.password": true, "CountsRequest.typed": true, "Join.password": true, "Join.token": true, "SignIn.password": true, "ChangePassword.new": true, "ChangePassword.old": true, "Claim.code": true, "Join.code": true, "SignIn.code": true, "ProveSecond.code": true, "NewPassword.new": true, "NewPassword.token": true,
	"SaveJob.under": true, "PlanStep.under": true, "JobPlan.under": true, "CountedHive.typed": true, "Inspection.typed": true, "TryForecast.forecast": true,
}

// answers repeat what a request of another name takes.
var answers = map[string]bool{"Invitation": true, "Comparison": true, "Job": true, "LotStock": true, "LotBook": true, "Token": true, "OfferedStep": true, "PlannedStep": true}

// Whatever the document lets through fits into its column, and nothing that is written
// freely is without a length.
func TestLengthsFitTheirColumns(t *testing.T) {
	its := document[struct {
		Components struct {
			Schemas map[string]struct {
				Properties map[string]struct {
					Type      string
					MaxLength int
					Enum      []string
				}
			}
		}
	}](t)
	db, err := sql.Open("mysql", dsn)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = db.Close() }()
	seen := 0
	for name, schema := range its.Components.Schemas {
		for property, is := range schema.Properties {
			key := name + "." + property
			if is.Type != "string" || is.MaxLength == 0 || elsewhere[key] || answers[name] {
				continue
			}
			table, column, known := strings.Cut(columns[key], ".")
			if !known {
				t.Errorf("%s takes %d characters: nobody said into which column", key, is.MaxLength)
				continue
			}
			seen++
			var room int
			err := db.QueryRow("SELECT character_maximum_length FROM information_schema.columns WHERE table_schema = DATABASE() AND table_name = ? AND column_name = ?", table, column).Scan(&room)
			if err != nil || room < is.MaxLength {
				t.Errorf("%s takes %d characters, %s.%s %d: %v", key, is.MaxLength, table, column, room, err)
			}
		}
	}
	if seen != len(columns) {
		t.Errorf("%d of %d are in the document", seen, len(columns))
	}
}
