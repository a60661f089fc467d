package wire

import "time"

// SessionList is where a person is signed in.
type SessionList struct {
	Sessions []SignedIn `json:"sessions" doc:"The newest first."`
}

// SignedIn is one browser that a person is signed in with.
type SignedIn struct {
	ID      string    `json:"id" format:"uuid"`
	Device  string    `json:"device" doc:"Browser and system, as the browser says."`
	BegunAt time.Time `json:"begun_at"`
	SeenAt  time.Time `json:"seen_at" doc:"Last used, to some five minutes."`
	Here    bool      `json:"here,omitempty" doc:"The one that asks."`
}

// Log is what happened about who comes in and who may what.
type Log struct {
	Entries []LogEntry `json:"entries" doc:"The newest first."`
	More    uint64     `json:"more,omitempty" doc:"To be given as before for those before these; left out when there are none."`
}

// LogEntry is one such thing.
type LogEntry struct {
	At      time.Time `json:"at"`
	What    string    `json:"what" enum:"signed_in,refused,role,taken_out,invited,uninvited,joined,exported,password,password_link,second_on,second_off,token,token_ended,session_ended"`
	Words   string    `json:"in_words"`
	Login   string    `json:"login" doc:"Who did it, as named then."`
	Address string    `json:"address,omitempty" doc:"Where it came from; of IPv6 the network."`
}

// SecondFactor tells whether a code is asked for beside the password.
type SecondFactor struct {
	On       bool     `json:"on"`
	Left     int64    `json:"codes_left" doc:"Recovery codes that were not used."`
	Recovery []string `json:"recovery_codes,omitempty" doc:"Told once, when it is turned on: each stands for the code, once."`
}

// SecondOffer is a secret for an authenticator app, to be proven.
type SecondOffer struct {
	Secret string `json:"secret" doc:"Base32 (RFC 6238: SHA-1, six figures, 30 s)."`
	URI    string `json:"uri" doc:"The same as an app reads it, drawn as a QR code."`
}

// ProveSecond proves a second factor, or turns it off.
type ProveSecond struct {
	Code string `json:"code" maxLength:"20" doc:"Six figures of the app, or a recovery code."`
}

// TokenList is a person's tokens for scripts.
type TokenList struct {
	Tokens []Token `json:"tokens" doc:"The newest first."`
}

// Token lets a script ask in a person's name, at most as a keeper: as Authorization: Bearer.
type Token struct {
	ID        string    `json:"id" format:"uuid"`
	Name      string    `json:"name" maxLength:"60" doc:"What it is for."`
	CreatedAt time.Time `json:"created_at"`
	ExpiresAt time.Time `json:"expires_at"`
	Token     string    `json:"token,omitempty" doc:"Told this once."`
}

// MakeToken asks for a token.
type MakeToken struct {
	Name string `json:"name" maxLength:"60" doc:"What it is for."`
	Days int    `json:"days" doc:"Until it ends, 1 to 366 days."`
}
