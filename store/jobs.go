package store

import (
	"context"
	"encoding/json"
	"errors"
	"time"

	"github.com/samber/lo"
	"gorm.io/gorm"
)

// LabelCard is what a keeper copied from the label of a product.
type LabelCard struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	ID          string `gorm:"primaryKey"`
	Name        string
	Method      string
	Content     json.RawMessage
	Version     int
	CreatedAt   time.Time
}

// Job is one treatment of some colonies by one method.
type Job struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	ID          string `gorm:"primaryKey"`
	Name        string
	Method      string
	Protocol    string
	CardID      *string
	RuleKind    string
	RuleWords   string
	People      int
	UserID      uint64
	CreatedAt   time.Time
	EndedOn     *time.Time
	EndedHow    string
	Archived    bool
	Colonies    []JobColony  `gorm:"foreignKey:OperationID,JobID;references:OperationID,ID"`
	Controls    []JobControl `gorm:"foreignKey:OperationID,JobID;references:OperationID,ID"`
}

// JobColony is a colony of a job, and how it was judged when the job was made.
type JobColony struct {
	OperationID    uint64 `gorm:"primaryKey;autoIncrement:false"`
	JobID          string `gorm:"primaryKey"`
	Position       int    `gorm:"primaryKey;autoIncrement:false"`
	ColonyID       string
	Day            time.Time
	Verdict        string
	Reasons        string
	OverrideReason string
}

// Cards lists the label cards by name.
func (o Operation) Cards(ctx context.Context) ([]LabelCard, error) {
	return all[LabelCard](o.own(ctx).Order("name"))
}

// Card reads one.
func (o Operation) Card(ctx context.Context, id string) (LabelCard, error) {
	return first[LabelCard](o.own(ctx).Where("id = ?", id))
}

// AddCard writes a new card.
func (o Operation) AddCard(ctx context.Context, c *LabelCard) error {
	c.Version = 1
	return taken(o.db.WithContext(ctx).Create(c).Error)
}

// ChangeCard writes a card over the version that it carries.
func (o Operation) ChangeCard(ctx context.Context, c LabelCard) error {
	c.Version++
	return o.change(ctx, &c, c.ID, c.Version, "name", "method", "content")
}

// SaveJob writes a job with its colonies, all or nothing; created is false when
// the id is already there.
func (o Operation) SaveJob(ctx context.Context, j *Job) (created bool, err error) {
	for i := range j.Colonies {
		j.Colonies[i].Position = i
	}
	err = o.Within(ctx, func(o Operation) error { return o.db.Create(j).Error })
	if errors.Is(err, gorm.ErrDuplicatedKey) {
		return false, nil
	}
	return err == nil, taken(err)
}

// JobList is which jobs are listed.
type JobList struct {
	Archived bool // those that are put away among them
	Most     int  // the newest so many
}

// Jobs lists the newest with their colonies.
func (o Operation) Jobs(ctx context.Context, of JobList) ([]Job, error) {
	return all[Job](o.listed(ctx, of).Preload("Colonies", func(db *gorm.DB) *gorm.DB { return db.Order("position") }).
		Order("created_at DESC, id").Limit(of.Most))
}

// CountJobs tells how many there are to be listed.
func (o Operation) CountJobs(ctx context.Context, of JobList) (int, error) {
	return value[int](o.listed(ctx, of).Model(&Job{}).Select("COUNT(*)"))
}

func (o Operation) listed(ctx context.Context, of JobList) *gorm.DB {
	if of.Archived {
		return o.own(ctx)
	}
	return o.own(ctx).Where("NOT archived")
}

// JobsSince lists those made since a time likewise, however many.
func (o Operation) JobsSince(ctx context.Context, since time.Time) ([]Job, error) {
	return all[Job](o.own(ctx).Preload("Colonies", func(db *gorm.DB) *gorm.DB { return db.Order("position") }).
		Where("created_at >= ?", since).Order("created_at DESC, id"))
}

// JobsAmong lists some, without their colonies.
func (o Operation) JobsAmong(ctx context.Context, ids []string) ([]Job, error) {
	return all[Job](o.own(ctx).Where("id IN ?", ids))
}

// Job reads one whole.
func (o Operation) Job(ctx context.Context, id string) (Job, error) {
	return first[Job](o.own(ctx).Where("id = ?", id).
		Preload("Colonies", func(db *gorm.DB) *gorm.DB { return db.Order("position") }))
}

// JobControl is a colony that a job left untreated, to compare.
type JobControl struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	JobID       string `gorm:"primaryKey"`
	ColonyID    string `gorm:"primaryKey"`
}

// ControlsOf lists the colonies that some jobs left untreated, by job.
func (o Operation) ControlsOf(ctx context.Context, jobs []string) (map[string][]string, error) {
	rows, err := all[JobControl](o.own(ctx).Where("job_id IN ?", jobs))
	out := map[string][]string{}
	for _, r := range rows {
		out[r.JobID] = append(out[r.JobID], r.ColonyID)
	}
	return out, err
}

// EndJob closes a job; ErrStale when it was closed already.
func (o Operation) EndJob(ctx context.Context, id, how string, on time.Time) error {
	return orElse(ErrStale, o.own(ctx).Model(&Job{}).Where("id = ? AND ended_on IS NULL", id).Updates(Job{EndedOn: &on, EndedHow: how}))
}

// Archive puts a job away, or takes it out again.
func (o Operation) Archive(ctx context.Context, id string, archived bool) error {
	return o.own(ctx).Model(&Job{}).Where("id = ?", id).Update("archived", archived).Error
}

// JobDays is the last day that a job is planned for, and that something of it was given.
type JobDays struct {
	JobID     string
	LastDay   time.Time
	LastGiven *time.Time
}

// DaysOf tells of some jobs.
func (o Operation) DaysOf(ctx context.Context, jobs []string) (map[string]JobDays, error) {
	var rows []JobDays
	err := o.db.WithContext(ctx).Table("jobs j").Where("j.operation_id = ? AND j.id IN ?", o.id, jobs).Select(`j.id AS job_id,
		(SELECT MAX(c.day) FROM job_colonies c WHERE c.operation_id = j.operation_id AND c.job_id = j.id) AS last_day,
		(SELECT MAX(a.given_at) FROM applications a FORCE INDEX (by_job) WHERE a.operation_id = j.operation_id AND a.job_id = j.id
			AND a.superseded = 0 AND a.kind = 'given') AS last_given`).Scan(&rows).Error
	return lo.KeyBy(rows, func(r JobDays) string { return r.JobID }), err
}

// Waiting is a colony that a job which nobody closed has still nothing written of.
type Waiting struct {
	JobID, ColonyID, Name, Method string
	Day                           time.Time
}

// Waits lists those of some colonies that jobs still have to come to.
func (o Operation) Waits(ctx context.Context, among Among) ([]Waiting, error) {
	var out []Waiting
	q := o.db.WithContext(ctx).Table("jobs j").Select("j.id AS job_id, j.name, j.method, c.colony_id, c.day").
		Joins("JOIN job_colonies c ON c.operation_id = j.operation_id AND c.job_id = j.id").
		Where(`j.operation_id = ? AND j.ended_on IS NULL AND c.day >= ? AND NOT EXISTS (
			SELECT 1 FROM applications a FORCE INDEX (of_job) WHERE a.operation_id = j.operation_id AND a.job_id = j.id AND a.colony_id = c.colony_id
			AND a.superseded = 0 AND a.reason <> 'taken_back' AND a.kind IN ('given', 'skipped'))`, o.id, among.Since)
	return out, among.in(q, "c.colony_id").Order("c.day").Scan(&out).Error
}

// LeftIn lists the colonies that were given something by some jobs since a time, of which no removal a
// day or more later is written: whether it still is in the hive, and stays there at all, is for the rules.
func (o Operation) LeftIn(ctx context.Context, jobs []string, since time.Time) ([]string, error) {
	var out []string
	return out, o.db.WithContext(ctx).Table("applications a FORCE INDEX (by_job)").Distinct("a.colony_id").
		Where("a.operation_id = ? AND a.job_id IN ? AND a.superseded = 0 AND a.kind = 'given' AND a.given_at >= ?", o.id, jobs, since).
		Where(`NOT EXISTS (SELECT 1 FROM applications t FORCE INDEX (by_colony) WHERE t.operation_id = a.operation_id AND t.superseded = 0 AND t.colony_id = a.colony_id
			AND t.kind = 'out' AND t.method = a.method AND t.given_at >= a.given_at + INTERVAL 1 DAY AND COALESCE(t.ends_id, a.id) = a.id)`).Scan(&out).Error
}

// DoneOf counts by job and day the colonies that have a line in the register.
func (o Operation) DoneOf(ctx context.Context, jobs []string) (map[string]map[string]int, error) {
	var rows []struct {
		JobID string
		Day   time.Time
		N     int
	}
	err := o.db.WithContext(ctx).Table("applications").Where("operation_id = ? AND job_id IN ? AND NOT superseded AND reason <> 'taken_back' AND kind IN ('given', 'skipped')", o.id, jobs).
		Select("job_id, visit_day AS day, COUNT(DISTINCT colony_id) AS n").Group("job_id, visit_day").Scan(&rows).Error
	out := map[string]map[string]int{}
	for _, r := range rows {
		if out[r.JobID] == nil {
			out[r.JobID] = map[string]int{}
		}
		out[r.JobID][r.Day.Format("2006-01-02")] = r.N
	}
	return out, err
}

// ColonyName is a colony as it is named in lists, living or not.
type ColonyName struct {
	ID    string
	Name  string
	Boxes int
}

// Names gives the names of some colonies, and how many boxes their hives have.
func (o Operation) Names(ctx context.Context, a Among) (map[string]ColonyName, error) {
	var rows []ColonyName
	q := a.in(o.db.WithContext(ctx).Table("colonies c").Where("c.operation_id = ?", o.id), "c.id").
		Joins("LEFT JOIN colony_boxes b ON b.operation_id = c.operation_id AND b.colony_id = c.id").
		Select("c.id, c.name, COUNT(b.position) AS boxes").Group("c.id, c.name")
	err := q.Scan(&rows).Error
	return lo.KeyBy(rows, func(r ColonyName) string { return r.ID }), err
}
