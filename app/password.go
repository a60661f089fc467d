package app

import (
	"context"
	_ "embed"
	"slices"
	"strings"
	"sync/atomic"
	"time"
	"unicode/utf8"

	"github.com/alexedwards/argon2id"

	"keeler/core/fault"
)

const (
	leastPassword = 10
	// How many tries may fail in a while before the next is not looked at: for one name
	// from one address, so that nobody locks out another, and for all names from there.
	triesWindow     = 15 * time.Minute
	triesPerLogin   = 8
	triesPerAddress = 40
)

// hashing is argon2id: 46 MiB, one pass, one lane (as OWASP's password storage has it).
var hashing = &argon2id.Params{Memory: 46 * 1024, Iterations: 1, Parallelism: 1, SaltLength: 16, KeyLength: 32}

// atOnce keeps a flood of tries from taking all memory: the others wait their turn.
var atOnce = make(chan struct{}, 2)

// waiting is how many wait for their turn.
var waiting atomic.Int64

// inTurn does what takes much memory, or gives up when who asked has.
func inTurn(ctx context.Context, do func()) error {
	waiting.Add(1)
	select {
	case atOnce <- struct{}{}:
		waiting.Add(-1)
	case <-ctx.Done():
		waiting.Add(-1)
		return ctx.Err()
	}
	defer func() { <-atOnce }()
	do()
	return nil
}

func hash(ctx context.Context, password string) (out string, err error) {
	if waited := inTurn(ctx, func() { out, err = argon2id.CreateHash(password, hashing) }); waited != nil {
		return "", waited
	}
	return out, err
}

// nobody is compared with where there is no such account, so that it takes as long.
const nobody = "$argon2id$v=19$m=47104,t=1,p=1$c29tZXNhbHRzb21lc2FsdA$Yw1Z0Kk9cK6q4mZ3w1m3l5l4uVQm8p4bqk0T2m5u0oE"

func matches(ctx context.Context, password, hash string) (same bool, err error) {
	if hash == "" {
		hash = nobody
		password = ""
	}
	if waited := inTurn(ctx, func() { same, err = argon2id.ComparePasswordAndHash(password, hash) }); waited != nil {
		return false, waited
	}
	return same && err == nil, nil
}

// credentials checks a name and a new password.
func credentials(login, password string) (string, error) {
	var l fault.List
	login = l.Said("login", login)
	checkPassword("password", password, login, &l)
	return login, l.Err()
}

// common are the passwords that are tried first, in lower case, one a line.
//
//go:embed common_passwords.txt
var common string

// checkPassword appends what is wrong with a new password.
func checkPassword(field, password, login string, l *fault.List) {
	if n := utf8.RuneCountInString(password); n < leastPassword {
		l.AddRange(field, fault.TooLow, leastPassword, 200, "characters")
		return
	}
	plain := strings.ToLower(strings.TrimSpace(password))
	if plain == strings.ToLower(login) || slices.Contains(strings.Fields(common), plain) || fewLetters(plain) {
		l.Add(field, fault.Guessable)
	}
}

// fewLetters reports whether a password is two letters or less, over and over.
func fewLetters(password string) bool {
	seen := map[rune]bool{}
	for _, r := range password {
		seen[r] = true
	}
	return len(seen) <= 2
}
