package mariadbd

import (
	"bytes"
	"context"
	"errors"
	"fmt"
	"io"
	"net"
	"os"
	"os/exec"
	"strings"

	"github.com/go-sql-driver/mysql"
)

// completed is how MariaDB's own copying ends what is whole.
const completed = "-- Dump completed"

// Dump writes all that is in the database of a data source name as SQL, in one consistent
// snapshot. What it writes is whole only where it returns nil.
func Dump(ctx context.Context, dsn string, into io.Writer) error {
	config, err := mysql.ParseDSN(dsn)
	if err != nil {
		return err
	}
	ending := &tail{most: 200}
	dump := exec.CommandContext(ctx, find("mariadb-dump"), append([]string{"--no-defaults", "--single-transaction",
		"--skip-lock-tables", "--no-tablespaces", "--hex-blob"}, reach(config)...)...)
	dump.Env = append(os.Environ(), "MYSQL_PWD="+config.Passwd) // not on the command line, which anyone may read
	dump.Stdout = io.MultiWriter(into, ending)
	var said bytes.Buffer
	dump.Stderr = &said
	if err := dump.Run(); err != nil {
		return fmt.Errorf("mariadb-dump: %w (make setup installs it)\n%s", err, said.Bytes())
	}
	if !bytes.Contains(ending.kept, []byte(completed)) {
		return errors.New("mariadb-dump: the copy is not whole")
	}
	return nil
}

// Load reads what Dump wrote into an empty database.
func Load(ctx context.Context, dsn string, from io.Reader) error {
	config, err := mysql.ParseDSN(dsn)
	if err != nil {
		return err
	}
	load := exec.CommandContext(ctx, find("mariadb"), append([]string{"--no-defaults", "--init-command=SET autocommit=0"}, reach(config)...)...)
	load.Env = append(os.Environ(), "MYSQL_PWD="+config.Passwd)
	load.Stdin = io.MultiReader(from, strings.NewReader("COMMIT;\n"))
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
