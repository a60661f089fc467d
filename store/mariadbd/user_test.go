package mariadbd

import (
	"io"
	"os"
	"os/exec"
	"path/filepath"
	"syscall"
	"testing"
)

// asNobody is the environment by which a test knows that it was begun by another user.
const asNobody = "KEELER_TEST_AS_NOBODY"

// A server runs under any user, as a service does; begun by root, the test begins itself once
// more under one who may do nothing.
func TestUnderAnyUser(t *testing.T) {
	if os.Getenv(asNobody) != "" || os.Geteuid() != 0 {
		s, err := Temporary(t.Context())
		if err != nil {
			t.Fatal(err)
		}
		s.Stop()
		return
	}
	const nobody = 65534
	folder, err := os.MkdirTemp("", "keeler-nobody")
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = os.RemoveAll(folder) })
	from, err := os.Open(os.Args[0])
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = from.Close() }()
	program := filepath.Join(folder, "test")
	into, err := os.OpenFile(program, os.O_CREATE|os.O_WRONLY, 0o755)
	if err != nil {
		t.Fatal(err)
	}
	if _, err = io.Copy(into, from); err == nil {
		err = into.Close()
	}
	if err == nil {
		err = os.Chown(folder, nobody, nobody)
	}
	if err != nil {
		t.Fatal(err)
	}
	again := exec.CommandContext(t.Context(), program, "-test.run=^TestUnderAnyUser$", "-test.v")
	again.Dir, again.Env = folder, append(os.Environ(), asNobody+"=yes", "TMPDIR="+folder, "HOME="+folder)
	again.SysProcAttr = &syscall.SysProcAttr{Credential: &syscall.Credential{Uid: nobody, Gid: nobody}}
	if out, err := again.CombinedOutput(); err != nil {
		t.Fatalf("%v\n%s", err, out)
	}
}
