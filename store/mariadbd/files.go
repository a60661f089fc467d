package mariadbd

import (
	"context"
	"fmt"
	"os"
	"os/exec"
	system "os/user"
	"path/filepath"
	"syscall"

	_ "github.com/go-sql-driver/mysql"
)

// initialise makes the system tables. It works in a folder beside and renames
// it, so that an interrupted first start leaves nothing half made.
func initialise(ctx context.Context, data, temporary string) error {
	if _, err := os.Stat(data); err == nil {
		return nil
	}
	half := data + fresh
	if err := os.RemoveAll(half); err != nil {
		return err
	}
	me, err := system.Current()
	if err != nil {
		return err
	}
	install := exec.CommandContext(ctx, find("mariadb-install-db"), "--no-defaults", dataOption+half,
		"--auth-root-authentication-method=socket", "--auth-root-socket-user="+me.Username, "--skip-test-db")
	install.Args = append(install.Args, asUser()...)
	install.Env = append(os.Environ(), "TMPDIR="+temporary)
	if out, err := install.CombinedOutput(); err != nil {
		return fmt.Errorf("mariadb-install-db: %w (make setup installs it)\n%s", err, out)
	}
	return os.Rename(half, data)
}

// fresh is how a data directory's name ends until it is whole.
const fresh = ".new"

// find looks a program up where Debian puts it even when a user's PATH lacks
// the sbin folders.
func find(name string) string {
	if path, err := exec.LookPath(name); err == nil {
		return path
	}
	return filepath.Join("/usr/sbin", name)
}

// asUser is given because mariadbd refuses to run as root without being told.
func asUser() []string {
	if os.Geteuid() == 0 {
		return []string{"--user=root"}
	}
	return nil
}

func lock(path string) (*os.File, error) {
	f, err := os.OpenFile(path, os.O_CREATE|os.O_RDWR, 0o600)
	if err != nil {
		return nil, err
	}
	if err := syscall.Flock(int(f.Fd()), syscall.LOCK_EX|syscall.LOCK_NB); err != nil {
		_ = f.Close()
		return nil, fmt.Errorf("%s is %w (%w)", filepath.Dir(path), ErrInUse, err)
	}
	return f, nil
}
