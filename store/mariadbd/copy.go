package mariadbd

import (
	"bytes"
	"compress/gzip"
	"context"
	"errors"
	"fmt"
	"io"
	"net"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"time"

	"github.com/go-sql-driver/mysql"
)

// completed is how MariaDB's own copying ends what is whole.
const completed = "-- Dump completed"

// Copy writes all that is in the database of a data source name into a new file of a
// folder, as compressed SQL, and gives its path. A file that is there is whole.
func Copy(ctx context.Context, dsn, folder, name string) (path string, err error) {
	config, err := mysql.ParseDSN(dsn)
	if err != nil {
		return "", err
	}
	if err := os.MkdirAll(folder, 0o700); err != nil {
		return "", err
	}
	path = filepath.Join(folder, name+time.Now().UTC().Format("-20060102-150405.sql.gz"))
	part, err := os.OpenFile(path+".part", os.O_CREATE|os.O_EXCL|os.O_WRONLY, 0o600)
	if err != nil {
		return "", err
	}
	defer func() { err = errors.Join(err, discarded(part)) }()
	packed := gzip.NewWriter(part)
	ending := &tail{most: 200}
	dump := exec.CommandContext(ctx, find("mariadb-dump"), append([]string{"--no-defaults", "--single-transaction",
		"--skip-lock-tables", "--no-tablespaces", "--hex-blob"}, reach(config)...)...)
	dump.Env = append(os.Environ(), "MYSQL_PWD="+config.Passwd) // not on the command line, which anyone may read
	dump.Stdout = io.MultiWriter(packed, ending)
	var said bytes.Buffer
	dump.Stderr = &said
	if err := dump.Run(); err != nil {
		return "", fmt.Errorf("mariadb-dump: %w (make setup installs it)\n%s", err, said.Bytes())
	}
	if !bytes.Contains(ending.kept, []byte(completed)) {
		return "", errors.New("mariadb-dump: the copy is not whole")
	}
	if err := errors.Join(packed.Close(), part.Sync()); err != nil {
		return "", err
	}
	return path, os.Rename(part.Name(), path)
}

// Load reads what Copy wrote into an empty database.
func Load(ctx context.Context, dsn, path string) (err error) {
	config, err := mysql.ParseDSN(dsn)
	if err != nil {
		return err
	}
	file, err := os.Open(path)
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, file.Close()) }()
	unpacked, err := gzip.NewReader(file)
	if err != nil {
		return fmt.Errorf("%s: %w", path, err)
	}
	load := exec.CommandContext(ctx, find("mariadb"), append([]string{"--no-defaults", "--init-command=SET autocommit=0"}, reach(config)...)...)
	load.Env = append(os.Environ(), "MYSQL_PWD="+config.Passwd)
	load.Stdin = io.MultiReader(unpacked, strings.NewReader("COMMIT;\n"))
	if said, err := load.CombinedOutput(); err != nil {
		return fmt.Errorf("mariadb: %w (make setup installs it)\n%s", err, said)
	}
	return nil
}

// reach is how the client's programs are told of a database.
func reach(config *mysql.Config) []string {
	out := []string{"--user=" + config.User}
	if config.Net == "unix" {
		out = append(out, "--socket="+config.Addr)
	} else if host, port, err := net.SplitHostPort(config.Addr); err == nil {
		out = append(out, "--protocol=tcp", "--host="+host, "--port="+port)
	}
	return append(out, config.DBName)
}

// discarded closes a file, and removes it where it still has its first name.
func discarded(part *os.File) error {
	_ = part.Close()
	if err := os.Remove(part.Name()); !errors.Is(err, os.ErrNotExist) {
		return err
	}
	return nil
}

// tail keeps the end of what is written.
type tail struct {
	kept []byte
	most int
}

func (t *tail) Write(p []byte) (int, error) {
	t.kept = append(t.kept, p...)
	t.kept = t.kept[max(0, len(t.kept)-t.most):]
	return len(p), nil
}
