package app

import (
	"time"
	"unicode/utf8"

	"github.com/alexedwards/argon2id"

	"keeler/core/fault"
)

const (
	leastPassword = 10
	// How many tries may fail in a while before the next is not looked at.
	triesWindow     = 15 * time.Minute
	triesPerLogin   = 8
	triesPerAddress = 40
)

// hashing is argon2id: 64 MiB, one pass, two lanes.
var hashing = &argon2id.Params{Memory: 64 * 1024, Iterations: 1, Parallelism: 2, SaltLength: 16, KeyLength: 32}

// atOnce keeps a flood of tries from taking all memory.
var atOnce = make(chan struct{}, 4)

func hash(password string) (string, error) {
	atOnce <- struct{}{}
	defer func() { <-atOnce }()
	return argon2id.CreateHash(password, hashing)
}

// nobody is compared with where there is no such account, so that it takes as long.
const nobody = "$argon2id$v=19$m=65536,t=1,p=2$c29tZXNhbHRzb21lc2FsdA$Yw1Z0Kk9cK6q4mZ3w1m3l5l4uVQm8p4bqk0T2m5u0oE"

func matches(password, hash string) bool {
	atOnce <- struct{}{}
	defer func() { <-atOnce }()
	if hash == "" {
		hash = nobody
		password = ""
	}
	same, err := argon2id.ComparePasswordAndHash(password, hash)
	return err == nil && same
}

// credentials checks a name and a new password.
func credentials(login, password string) (string, error) {
	var l fault.List
	login = l.Said("login", login)
	checkPassword("password", password, &l)
	return login, l.Err()
}

func checkPassword(field, password string, l *fault.List) {
	if n := utf8.RuneCountInString(password); n < leastPassword {
		l.AddRange(field, fault.TooLow, leastPassword, 200, "characters")
	}
}
