package app

import (
	"context"
	"crypto/rand"
	"errors"
	"strings"

	"github.com/pquerna/otp"
	"github.com/pquerna/otp/hotp"
	"github.com/pquerna/otp/totp"

	"keeler/core/fault"
	"keeler/store"
	"keeler/wire"
)

const (
	recoveryCodes = 10
	stepLasts     = 30 // s, as every app has it (RFC 6238)
	stepsOff      = 1  // by which the app's clock may differ
)

// SecondFactor tells whether the member is asked for a code.
func (d Desk) SecondFactor(ctx context.Context) (wire.SecondFactor, error) {
	r := reading{ctx: ctx}
	u, left := by(&r, d.app.store.People().User, d.who.User), by(&r, d.app.store.People().RecoveryCodes, d.who.User)
	return wire.SecondFactor{On: u.SecondOn, Left: left}, r.err
}

// OfferSecond makes a secret for an app; it is asked for once it was proven. Where one is
// in use, it is store.ErrConflict.
func (d Desk) OfferSecond(ctx context.Context) (wire.SecondOffer, error) {
	key, err := totp.Generate(totp.GenerateOpts{Issuer: "Keeler", AccountName: d.who.Login})
	if err != nil {
		return wire.SecondOffer{}, err
	}
	err = d.app.store.People().OfferSecond(ctx, d.who.User, key.Secret())
	return wire.SecondOffer{Secret: key.Secret(), URI: key.URL()}, err
}

// TurnSecondOn proves the secret and asks for a code from now on. The recovery codes are
// told this once.
func (d Desk) TurnSecondOn(ctx context.Context, in wire.ProveSecond) (wire.SecondFactor, error) {
	people := d.app.store.People()
	u, err := people.User(ctx, d.who.User)
	if err != nil {
		return wire.SecondFactor{}, err
	}
	step, fits := d.app.step(u.SecondSecret, spaceless(in.Code))
	if !fits {
		return wire.SecondFactor{}, wrongCode
	}
	told, kept := make([]string, recoveryCodes), make([]string, recoveryCodes)
	for i := range told {
		word := strings.ToLower(rand.Text())
		told[i] = word[:4] + "-" + word[4:8] + "-" + word[8:12]
		kept[i] = digest(told[i])
	}
	if err := people.TurnSecondOn(ctx, d.who.User, step, kept); err != nil {
		return wire.SecondFactor{}, err
	}
	return wire.SecondFactor{On: true, Left: recoveryCodes, Recovery: told}, d.logged(ctx, d.op, secondOn, "")
}

// TurnSecondOff asks for a code no more, of who has one.
func (d Desk) TurnSecondOff(ctx context.Context, in wire.ProveSecond) (wire.SecondFactor, error) {
	people := d.app.store.People()
	u, err := people.User(ctx, d.who.User)
	if err != nil {
		return wire.SecondFactor{}, err
	}
	if err := d.app.second(ctx, u, in.Code); err != nil {
		return wire.SecondFactor{}, err
	}
	if err := people.TurnSecondOff(ctx, u.ID); err != nil {
		return wire.SecondFactor{}, err
	}
	return wire.SecondFactor{}, d.logged(ctx, d.op, secondOff, "")
}

// DropSecond does so for whom the machine's own console names.
func (a *App) DropSecond(ctx context.Context, login string) error {
	u, err := a.store.People().ByLogin(ctx, login)
	if err != nil {
		return err
	}
	return a.store.People().TurnSecondOff(ctx, u.ID)
}

var wrongCode = fault.List{{Field: "code", Reason: fault.WrongCode}}

// second asks for the code of a user who has a second factor: a fault at "code" when it is
// missing or wrong. No code is taken twice.
func (a *App) second(ctx context.Context, u store.User, code string) error {
	code = strings.ToLower(spaceless(code))
	if !u.SecondOn {
		return nil
	}
	if code == "" {
		return fault.List{{Field: "code", Reason: fault.Missing}}
	}
	people := a.store.People()
	var err error
	if step, fits := a.step(u.SecondSecret, code); fits {
		err = people.UseStep(ctx, u.ID, step)
	} else {
		err = people.UseRecoveryCode(ctx, u.ID, digest(code))
	}
	if errors.Is(err, store.ErrNotFound) {
		return wrongCode
	}
	return err
}

// spaceless is a code without the spaces that an app shows it with.
func spaceless(code string) string { return strings.Join(strings.Fields(code), "") }

// step finds the step of now, or one beside it, that a code is of.
func (a *App) step(secret, code string) (int64, bool) {
	if secret == "" {
		return 0, false
	}
	now := a.now().Unix() / stepLasts
	for step := now - stepsOff; step <= now+stepsOff; step++ {
		if ok, err := hotp.ValidateCustom(code, uint64(step), secret, hotp.ValidateOpts{Digits: otp.DigitsSix, Algorithm: otp.AlgorithmSHA1}); ok && err == nil {
			return step, true
		}
	}
	return 0, false
}
