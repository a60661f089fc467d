package wire

import "time"

// Start is what a page needs to begin.
type Start struct {
	Demo      bool             `json:"demo"`
	Place     string           `json:"place,omitempty"`
	Now       string           `json:"now" doc:"Local date and time of the work, 2006-01-02T15:04; pinned in the demo."`
	Draft     *Recipe          `json:"draft,omitempty" doc:"In the demo, a plan to begin with for each method."`
	Usual     map[string]Usual `json:"usual" doc:"By method, what a plan goes by where the keeper says nothing, by its path in the recipe, as it would be typed."`
	Unclaimed bool             `json:"unclaimed" doc:"Nobody can sign in yet: who knows the code of the console becomes the owner."`
	PublicURL string           `json:"public_url,omitempty" doc:"The address that links carry, where one is set."`
	Me        *Me              `json:"me,omitempty" doc:"Who is signed in; left out when nobody is."`
}

// MoveDemo brings the demo's clock forward.
type MoveDemo struct {
	Days int `json:"days" doc:"1 to 366 days."`
}

// Me is the person who is signed in.
type Me struct {
	Who       string `json:"who" doc:"This person in this operation: sent along as Keeler-Me, what another person left behind is not taken for one's own."`
	Login     string `json:"login"`
	Role      string `json:"role" enum:"owner,keeper,helper,viewer"`
	Operation string `json:"operation" doc:"What the operation is called."`
	TimeZone  string `json:"time_zone" doc:"IANA name of the zone whose days are the operation's."`

	Writes Writes  `json:"writes" doc:"How figures and days are written for this person."`
	Own    OwnForm `json:"own" doc:"And how this person would have them."`

	KeptUntil string `json:"kept_until,omitempty" doc:"The operation is closed: only its register is left, and can be read until this day, 2006-01-02."`

	Practice *Practice `json:"practice,omitempty" doc:"It is a season of practice: nothing in it is real."`

	Others []Membership `json:"others,omitempty" doc:"Other operations that this person belongs to."`
}

// Membership is a person's part in an operation.
type Membership struct {
	ID   uint64 `json:"id"`
	Name string `json:"name"`
	Role string `json:"role" enum:"owner,keeper,helper,viewer"`
}

// GoTo names the operation that a person goes on in.
type GoTo struct {
	Operation uint64 `json:"operation"`
}

// SignIn is a name and its password.
type SignIn struct {
	Login    string `json:"login" minLength:"1" maxLength:"190" doc:"E-mail or name."`
	Password string `json:"password" minLength:"1" maxLength:"200"`
	Code     string `json:"code,omitempty" maxLength:"20" doc:"Of the second factor, where one is turned on: it is asked for then."`
}

// Claim makes the first owner.
type Claim struct {
	Code      string `json:"code" maxLength:"20" doc:"That the server's console tells: so the first to come is the one who runs it."`
	Operation string `json:"operation" maxLength:"120" doc:"What the operation is called: a keeper, a crew, an association."`
	Login     string `json:"login" maxLength:"190" doc:"E-mail or name to sign in with."`
	Password  string `json:"password" maxLength:"200" doc:"10 characters at least."`
	TimeZone  string `json:"time_zone,omitempty" maxLength:"64" doc:"IANA name of the zone whose days are the operation's; UTC when left out."`
}

// PasswordLink lets a member set a new password, once.
type PasswordLink struct {
	Token     string    `json:"token" doc:"Told this once: the link is /password/ and this."`
	ExpiresAt time.Time `json:"expires_at"`
}

// LinkedTo tells whose new password a link is for.
type LinkedTo struct {
	Login string `json:"login"`
}

// NewPassword uses such a link.
type NewPassword struct {
	Token string `json:"token" minLength:"10" maxLength:"100"`
	New   string `json:"new" maxLength:"200" doc:"10 characters at least, and not one that everybody tries."`
}

// ChangePassword asks for another password.
type ChangePassword struct {
	Old string `json:"old" maxLength:"200"`
	New string `json:"new" maxLength:"200" doc:"10 characters at least."`
}

// Person is a member of an operation.
type Person struct {
	ID       uint64    `json:"id"`
	Login    string    `json:"login"`
	Role     string    `json:"role" enum:"owner,keeper,helper,viewer"`
	JoinedAt time.Time `json:"joined_at"`
	Me       bool      `json:"me,omitempty"`
}

// People is who belongs to an operation, and who may join it.
type People struct {
	Operation   string       `json:"operation"`
	Members     []Person     `json:"members"`
	Invitations []Invitation `json:"invitations" doc:"Those that can still be used."`
}

// Invitation lets one person join, once.
type Invitation struct {
	ID        string    `json:"id" format:"uuid"`
	Role      string    `json:"role" enum:"owner,keeper,helper,viewer"`
	Note      string    `json:"note,omitempty" maxLength:"120" doc:"For whom it is."`
	ExpiresAt time.Time `json:"expires_at"`
	Token     string    `json:"token,omitempty" doc:"Told once, when it is made: the link is /join/ and this."`
}

// Invite asks for an invitation.
type Invite struct {
	Role string `json:"role" enum:"owner,keeper,helper,viewer"`
	Note string `json:"note,omitempty" maxLength:"120" doc:"For whom it is."`
}

// Join uses an invitation; with the name and password of an account that is
// there, that one joins.
type Join struct {
	Token    string `json:"token" minLength:"10" maxLength:"100"`
	Code     string `json:"code,omitempty" maxLength:"20" doc:"Of the second factor of an account that is there, where it has one."`
	Login    string `json:"login" maxLength:"190" doc:"E-mail or name to sign in with."`
	Password string `json:"password" maxLength:"200" doc:"10 characters at least."`
}

// InvitedTo tells what an invitation is to.
type InvitedTo struct {
	Operation string `json:"operation"`
	Role      string `json:"role" enum:"owner,keeper,helper,viewer"`
}

// SetRole changes what a member may do.
type SetRole struct {
	Role string `json:"role" enum:"owner,keeper,helper,viewer,out" doc:"Out takes the member out."`
}
