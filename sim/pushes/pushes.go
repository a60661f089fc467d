// Package pushes is a stand-in for the push service of browsers (RFC 8030): it hands out
// subscriptions, checks who sends (VAPID, RFC 8292), and reads what is sent as the browser would
// (RFC 8291).
package pushes

import (
	"crypto/aes"
	"crypto/cipher"
	"crypto/ecdh"
	"crypto/ecdsa"
	"crypto/elliptic"
	"crypto/hkdf"
	"crypto/rand"
	"crypto/sha256"
	"encoding/base64"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"math/big"
	"net/http"
	"strings"
	"sync"
)

// Service answers at any path; each is a browser.
type Service struct {
	mu       sync.Mutex
	key      *ecdh.PrivateKey
	secret   []byte
	answer   int
	messages []string
}

// New makes one that takes everything.
func New() (*Service, error) {
	key, err := ecdh.P256().GenerateKey(rand.Reader)
	if err != nil {
		return nil, err
	}
	s := &Service{key: key, secret: make([]byte, 16), answer: http.StatusCreated}
	_, err = rand.Read(s.secret)
	return s, err
}

// Keys are what a browser tells of itself, in base64url.
func (s *Service) Keys() (p256dh, auth string) {
	return base64.RawURLEncoding.EncodeToString(s.key.PublicKey().Bytes()), base64.RawURLEncoding.EncodeToString(s.secret)
}

// Answer is the status of what is sent from now on.
func (s *Service) Answer(status int) {
	s.mu.Lock()
	defer s.mu.Unlock()
	s.answer = status
}

// Messages are those that came.
func (s *Service) Messages() []string {
	s.mu.Lock()
	defer s.mu.Unlock()
	return append([]string(nil), s.messages...)
}

func (s *Service) ServeHTTP(w http.ResponseWriter, r *http.Request) {
	s.mu.Lock()
	defer s.mu.Unlock()
	if s.answer >= http.StatusMultipleChoices {
		w.WriteHeader(s.answer)
		return
	}
	message, err := s.read(r)
	if err != nil {
		http.Error(w, err.Error(), http.StatusBadRequest)
		return
	}
	s.messages = append(s.messages, message)
	w.WriteHeader(s.answer)
}

func (s *Service) read(r *http.Request) (string, error) {
	if r.Header.Get("TTL") == "" || r.Header.Get("Content-Encoding") != "aes128gcm" {
		return "", errors.New("no TTL, or not encrypted as RFC 8291 has it")
	}
	if err := signed(r); err != nil {
		return "", err
	}
	body, err := io.ReadAll(io.LimitReader(r.Body, 4<<10))
	if err != nil {
		return "", err
	}
	return s.decrypt(body)
}

// head is salt, record size, and how long the sender's key is, which follows (RFC 8188, 2.1).
const head = 16 + 4 + 1

func (s *Service) decrypt(body []byte) (string, error) {
	if len(body) < head || len(body) < head+int(body[head-1]) {
		return "", errors.New("too short")
	}
	salt, from := body[:16], body[head:head+int(body[head-1])]
	sender, err := ecdh.P256().NewPublicKey(from)
	if err != nil {
		return "", err
	}
	shared, err := s.key.ECDH(sender)
	if err != nil {
		return "", err
	}
	info := "WebPush: info\x00" + string(s.key.PublicKey().Bytes()) + string(from)
	material, err := hkdf.Key(sha256.New, shared, s.secret, info, 32)
	if err != nil {
		return "", err
	}
	key, err := hkdf.Key(sha256.New, material, salt, "Content-Encoding: aes128gcm\x00", 16)
	if err != nil {
		return "", err
	}
	nonce, err := hkdf.Key(sha256.New, material, salt, "Content-Encoding: nonce\x00", 12)
	if err != nil {
		return "", err
	}
	block, err := aes.NewCipher(key)
	if err != nil {
		return "", err
	}
	sealed, err := cipher.NewGCM(block)
	if err != nil {
		return "", err
	}
	plain, err := sealed.Open(nil, nonce, body[head+len(from):], nil)
	message, _, whole := strings.Cut(string(plain), "\x02") // the last record ends so
	if err == nil && !whole {
		err = errors.New("not the last record")
	}
	return message, err
}

// signed checks that the sender is who it says, and means this service.
func signed(r *http.Request) error {
	token, key, both := strings.Cut(strings.TrimPrefix(r.Header.Get("Authorization"), "vapid t="), ", k=")
	parts := strings.Split(token, ".")
	if !both || len(parts) != 3 {
		return errors.New("no VAPID token")
	}
	raw := make([][]byte, 4)
	for i, text := range append(parts, key) {
		var err error
		if raw[i], err = base64.RawURLEncoding.DecodeString(strings.TrimRight(text, "=")); err != nil {
			return err
		}
	}
	var claims struct{ Aud, Sub string }
	if err := json.Unmarshal(raw[1], &claims); err != nil {
		return err
	}
	if claims.Aud != "http://"+r.Host || claims.Sub == "" {
		return fmt.Errorf("meant for %q, from %q", claims.Aud, claims.Sub)
	}
	by, err := ecdsa.ParseUncompressedPublicKey(elliptic.P256(), raw[3])
	if err != nil || len(raw[2]) != 64 {
		return errors.New("no key, or no signature")
	}
	sum := sha256.Sum256([]byte(parts[0] + "." + parts[1]))
	if !ecdsa.Verify(by, sum[:], new(big.Int).SetBytes(raw[2][:32]), new(big.Int).SetBytes(raw[2][32:])) {
		return errors.New("the signature does not hold")
	}
	return nil
}
