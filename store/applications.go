package store

import (
	"context"
	"encoding/json"
	"strconv"
	"strings"
	"time"

	"gorm.io/gorm"
	"gorm.io/gorm/clause"
)

// Application is a line of the register: what was done at one colony. Its content is
// never changed; an amendment is a row of its own.
type Application struct {
	OperationID    uint64 `gorm:"primaryKey;autoIncrement:false"`
	ID             string `gorm:"primaryKey"`
	Seq            uint64 `gorm:"->"`
	Superseded     bool
	AmendsID       *string
	EndsID         *string // of a removal: the application that comes out; nil: all of the method
	JobID          *string
	VisitDay       time.Time // of the round that it belongs to; when it happened is GivenAt
	ColonyID       string
	YardID         string
	Kind           string
	Reason         string
	Method         string
	Product        string
	CardID         *string // the label card that it was given under
	BatchID        *string
	Amount         float64
	Asked          float64
	Unit           string
	OADMG          float64 `gorm:"column:oad_mg"`
	FormicMG       float64 `gorm:"column:formic_mg"`
	DaysLow        int     // in the hive by what it was given under; 0: not known
	DaysHigh       int
	Extra          bool  // of given: it replaces or tops up a part of what is in
	Swaps          bool  // of given: it takes the place of all of its method that was in
	Eggs           *bool // of checked: seen or not; nil: not looked for
	Board          bool  // a clean board went in with it
	Detail         json.RawMessage
	RuleKind       string
	RuleWords      string
	WithdrawalDays *int // nil: not stated
	OverrideReason string
	OpenS          int `gorm:"column:open_s"`
	Flags          string
	GivenAt        time.Time
	GiverID        *uint64 // the member who gave it
	GiverName      string  // who gave it and is no member
	RecorderID     *uint64 // who wrote it first
	RecordedAt     *time.Time
	Entered        string     // how it came in: Afterwards, Imported, or empty for as it was done
	EnteredFrom    string     // of an import: its file
	ChangedAt      *time.Time // of an amendment, by the clock of the work
	ChangeReason   string
	UserID         uint64 // who wrote this row: of an amendment, who changed it
	CreatedAt      time.Time
	PiecesOut      int    `gorm:"->;-:migration"` // of out: that came out or were told missing
	BatchDoubted   bool   `gorm:"->;-:migration"` // its batch turned out to be another than it was thought to be
	Login          string `gorm:"->;-:migration"`
	Giver          string `gorm:"->;-:migration"`
	Recorder       string `gorm:"->;-:migration"`
	Colony         string `gorm:"->;-:migration"`
	Yard           string `gorm:"->;-:migration"`
	BatchNumber    int    `gorm:"->;-:migration"`
}

// How a line can have come in, when not as it was done.
const (
	Afterwards = "afterwards"
	Imported   = "import"
)

// named joins the names that a line is read by.
func (o Operation) named(ctx context.Context) *gorm.DB {
	return o.db.WithContext(ctx).Table("applications a").
		Select("a.*, users.login, COALESCE(givers.login, a.giver_name) AS giver, COALESCE(recorders.login, users.login) AS recorder, colonies.name AS colony, yards.name AS yard, batches.number AS batch_number").
		Joins("LEFT JOIN users ON users.id = a.user_id").
		Joins("LEFT JOIN users givers ON givers.id = a.giver_id").
		Joins("LEFT JOIN users recorders ON recorders.id = a.recorder_id").
		Joins("LEFT JOIN colonies ON colonies.operation_id = a.operation_id AND colonies.id = a.colony_id").
		Joins("LEFT JOIN yards ON yards.operation_id = a.operation_id AND yards.id = a.yard_id").
		Joins("LEFT JOIN batches ON batches.operation_id = a.operation_id AND batches.id = a.batch_id").
		Where("a.operation_id = ?", o.id)
}

// Apply writes a line of the register with all that goes with it, all or nothing. The
// same id a second time writes nothing: done is false.
func (o Operation) Apply(ctx context.Context, a *Application, with func(Operation) error) (done bool, err error) {
	err = o.Within(ctx, func(o Operation) error {
		done = false
		// The jar is held first: a line that refers to it would share its lock with others
		// who all want it for themselves.
		if a.BatchID != nil {
			if err := o.hold(ctx, "batches", *a.BatchID); err != nil {
				return err
			}
		}
		made := o.db.WithContext(ctx).Clauses(clause.OnConflict{DoNothing: true}).Create(a)
		if made.Error != nil || made.RowsAffected == 0 {
			return taken(made.Error)
		}
		done = true
		if a.JobID != nil {
			if err := o.announce(ctx, *a.JobID); err != nil {
				return err
			}
		}
		return with(o)
	})
	return done && err == nil, err
}

// Supersede marks a line as amended by another, once; ErrStale when it was amended already. What
// came out of a hive came out of what the other line tells.
func (o Operation) Supersede(ctx context.Context, id, by string) error {
	if err := orElse(ErrStale, o.own(ctx).Model(&Application{}).Where("id = ? AND NOT superseded", id).Update("superseded", true)); err != nil {
		return err
	}
	return o.own(ctx).Model(&Application{}).Where("ends_id = ?", id).Update("ends_id", by).Error
}

// Application reads one line.
func (o Operation) Application(ctx context.Context, id string) (Application, error) {
	var out Application
	err := orElse(ErrNotFound, o.named(ctx).Where("a.id = ?", id).Limit(1).Find(&out))
	return out, err
}

// Visited lists what stands of a job's day, in the order in which it was written.
func (o Operation) Visited(ctx context.Context, job string, day time.Time) ([]Application, error) {
	return all[Application](o.named(ctx).Table("applications a FORCE INDEX (by_job)").
		Where("a.job_id = ? AND a.visit_day = ? AND a.superseded = 0", job, day).Order("a.seq"))
}

// JobLines lists what stands of a job, in the order in which it was written.
func (o Operation) JobLines(ctx context.Context, job string) ([]Application, error) {
	return all[Application](o.own(ctx).Table("applications FORCE INDEX (by_job)").Where("job_id = ? AND superseded = 0", job).Order("seq"))
}

// Weighed lists what stands of doses and weighings of some jobs, in the order in which it
// was written.
func (o Operation) Weighed(ctx context.Context, jobs []string) ([]Application, error) {
	return all[Application](o.own(ctx).Table("applications FORCE INDEX (by_job)").
		Where("job_id IN ? AND superseded = 0 AND kind IN ('given', 'weighed')", jobs).Order("seq"))
}

// Line is a place in the register, to go on from.
type Line struct {
	Group string // colony, yard or batch, where it is ordered by them first
	At    time.Time
	Seq   uint64
}

// Asked is which lines of the register are wanted.
type Asked struct {
	Colony, Yard, Batch, Method string
	From, To                    *time.Time
	GroupBy                     string // colony_id, yard_id or batch_id; empty: by time alone
	Oldest                      bool   // the oldest first
	Find                        string // see found; empty: all
	After                       *Line
	Most                        int
}

// likely takes what stands for other letters in a LIKE as it is.
var likely = strings.NewReplacer(`\`, `\\`, "%", `\%`, "_", `\_`)

// found narrows lines to those that a text is in: in what was given, by whom, under which rule, from which lot
// or batch; of a hive it is the whole name, for 87 is not 187.
func (o Operation) found(rows *gorm.DB, text string) *gorm.DB {
	like := "%" + likely.Replace(text) + "%"
	number, err := strconv.Atoi(text)
	if err != nil {
		number = -1
	}
	return rows.Where(`(product LIKE @like OR rule_words LIKE @like OR giver_name LIKE @like OR JSON_VALUE(detail, '$.lot') LIKE @like
		OR colony_id IN (SELECT id FROM colonies WHERE operation_id = @operation AND name = @text)
		OR giver_id IN (SELECT u.id FROM users u JOIN members m ON m.user_id = u.id WHERE m.operation_id = @operation AND u.login LIKE @like)
		OR batch_id IN (SELECT id FROM batches WHERE operation_id = @operation AND (number = @number OR name LIKE @like))
		OR batch_id IN (SELECT e.for_batch_id FROM stock_entries e JOIN lots l ON l.operation_id = e.operation_id AND l.id = e.lot_id
			WHERE e.operation_id = @operation AND (l.name LIKE @like OR l.supplier_no LIKE @like)))`,
		map[string]any{"like": like, "text": text, "operation": o.id, "number": number})
}

// Register lists what stands of the register.
func (o Operation) Register(ctx context.Context, q Asked) ([]Application, error) {
	// The page is found by its index alone; names are joined to its few rows.
	rows := o.db.WithContext(ctx).Table("applications").Where("operation_id = ? AND superseded = 0", o.id)
	for column, value := range map[string]string{"colony_id": q.Colony, "yard_id": q.Yard, "batch_id": q.Batch, "method": q.Method} {
		if value != "" {
			rows = rows.Where(column+" = ?", value)
		}
	}
	if q.Find != "" {
		rows = o.found(rows, q.Find)
	}
	if q.From != nil {
		rows = rows.Where("given_at >= ?", *q.From)
	}
	if q.To != nil {
		rows = rows.Where("given_at < ?", *q.To)
	}
	way, than := "DESC", "<"
	if q.Oldest {
		way, than = "ASC", ">"
	}
	order := "given_at " + way + ", seq " + way
	if q.GroupBy != "" {
		order = q.GroupBy + " " + way + ", " + order // one way throughout: the index is read along
	}
	if l := q.After; l != nil {
		beyond := "(given_at " + than + " ? OR given_at = ? AND seq " + than + " ?)"
		if q.GroupBy == "" {
			rows = rows.Where("given_at "+than+"= ? AND "+beyond, l.At, l.At, l.At, l.Seq)
		} else {
			rows = rows.Where("("+q.GroupBy+" "+than+" ? OR "+q.GroupBy+" = ? AND "+beyond+")", l.Group, l.Group, l.At, l.At, l.Seq)
		}
	}
	if q.GroupBy == "batch_id" {
		rows = rows.Where("batch_id IS NOT NULL")
	}
	var page []Application
	if err := rows.Select("id").Order(order).Limit(q.Most).Find(&page).Error; err != nil || len(page) == 0 {
		return nil, err
	}
	ids := make([]string, len(page))
	at := make(map[string]int, len(page))
	for i, p := range page {
		ids[i], at[p.ID] = p.ID, i
	}
	var found []Application
	if err := o.named(ctx).Where("a.id IN ?", ids).Find(&found).Error; err != nil {
		return nil, err
	}
	out := make([]Application, len(page))
	for _, f := range found {
		out[at[f.ID]] = f
	}
	return out, nil
}

// LotsOf lists which lots went into batches, as "ingredient name (supplier's number)".
func (o Operation) LotsOf(ctx context.Context, batches []string) (map[string][]string, error) {
	var rows []struct{ Batch, Ingredient, Name, SupplierNo string }
	err := o.db.WithContext(ctx).Table("stock_entries e").Select("DISTINCT e.for_batch_id AS batch, lots.ingredient, lots.name, lots.supplier_no").
		Joins("JOIN lots ON lots.operation_id = e.operation_id AND lots.id = e.lot_id").
		Where("e.operation_id = ? AND e.for_batch_id IN ?", o.id, batches).Order("lots.ingredient, lots.name").Find(&rows).Error
	out := map[string][]string{}
	for _, r := range rows {
		text := r.Ingredient + " " + r.Name
		if r.SupplierNo != "" {
			text += " (" + r.SupplierNo + ")"
		}
		out[r.Batch] = append(out[r.Batch], text)
	}
	return out, err
}

// GivenTo hands over what stands of some colonies, in the order in which it happened and, of one
// time, was written, with what tells of what is in a hive.
func (o Operation) GivenTo(ctx context.Context, a Among, with func(Application)) error {
	q := a.in(o.own(ctx).Table(a.from("applications", "newest", "by_colony")), "colony_id").
		Where("given_at >= ? AND superseded = 0 AND kind <> 'skipped'", a.Since).
		Select("id", "colony_id", "job_id", "ends_id", "kind", "method", "product", "card_id", "amount", "asked", "oad_mg", "formic_mg", "given_at", "days_low", "days_high", "withdrawal_days", "extra", "swaps",
			"eggs", "board", "created_at", "unit",
			"CASE WHEN kind = 'out' THEN COALESCE(JSON_VALUE(detail, '$.came'), 0) + COALESCE(JSON_VALUE(detail, '$.missing'), 0) ELSE 0 END AS pieces_out", "(FIND_IN_SET('batch_wrong', flags) OR FIND_IN_SET('batch_void', flags)) AS batch_doubted").Order("given_at, seq")
	return each(q, func(a *Application) []any {
		return []any{&a.ID, &a.ColonyID, &a.JobID, &a.EndsID, &a.Kind, &a.Method, &a.Product, &a.CardID, &a.Amount, &a.Asked, &a.OADMG, &a.FormicMG, &a.GivenAt, &a.DaysLow, &a.DaysHigh,
			&a.WithdrawalDays, &a.Extra, &a.Swaps, &a.Eggs, &a.Board, &a.CreatedAt, &a.Unit, &a.PiecesOut, &a.BatchDoubted}
	}, with)
}

// Doses lists the doses of some colonies between two times that stand, but for what only replaced
// a part of what was in.
func (o Operation) Doses(ctx context.Context, colonies []string, from, to time.Time) ([]Application, error) {
	return all[Application](o.own(ctx).Table("applications FORCE INDEX (by_colony)").Select("id, colony_id, method, oad_mg, formic_mg, given_at").
		Where("superseded = 0 AND colony_id IN ? AND given_at >= ? AND given_at < ? AND kind IN ('given', 'other') AND NOT extra", colonies, from.UTC(), to.UTC()).Order("given_at, seq"))
}

// VisitExtras is what is ticked on visits in a season.
type VisitExtras struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	Season      string `gorm:"primaryKey"`
	Extras      json.RawMessage
}

// Extras reads what is ticked in a season; ErrNotFound when nobody chose.
func (o Operation) Extras(ctx context.Context, season string) (VisitExtras, error) {
	return first[VisitExtras](o.own(ctx).Where("season = ?", season))
}

// SetExtras chooses what is ticked in a season.
func (o Operation) SetExtras(ctx context.Context, e VisitExtras) error {
	return o.db.WithContext(ctx).Clauses(clause.OnConflict{UpdateAll: true}).Create(&e).Error
}
