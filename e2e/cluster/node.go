package cluster

import (
	"context"
	"fmt"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
)

// account is by whom Keeler comes in; the cluster is on loopback alone, and so is what is known here.
const account, word = "keeler", "loopback"

// provider is Galera, as Debian's package galera-4 puts it.
const provider = "/usr/lib/galera/libgalera_smm.so"

// StartNode starts a node, and waits until it takes part. The first begins the cluster where no
// other runs; one that was there before comes back with what it missed.
func (c *Cluster) StartNode(ctx context.Context, n int) error {
	folder := c.folder(fmt.Sprint("node", n+1))
	data := filepath.Join(folder, "data")
	fresh := !exists(data)
	if fresh {
		if err := os.MkdirAll(data, 0o700); err != nil {
			return err
		}
	}
	begins := fresh && n == 0
	if begins {
		install := exec.CommandContext(ctx, "mariadb-install-db", "--no-defaults", "--datadir="+data, "--user="+owner(), "--skip-test-db")
		if out, err := install.CombinedOutput(); err != nil {
			return fmt.Errorf("mariadb-install-db: %w\n%s", err, out)
		}
	}
	others := make([]string, 0, Size)
	for i := range Size {
		others = append(others, c.at(i, portGroup))
	}
	all := "gcomm://" + strings.Join(others, ",")
	settings := filepath.Join(folder, "node.cnf")
	if err := os.WriteFile(settings, fmt.Appendf(nil, configured, owner(), folder, address(n), c.port(portDB), provider, all, n+1,
		c.at(n, portGroup), c.at(n, portIST), c.at(n, portSST), account+":"+word), 0o600); err != nil {
		return err
	}
	args := []string{"--defaults-file=" + settings}
	if begins {
		args = append(args, "--wsrep-new-cluster")
	}
	var err error
	if !fresh { // what it had when it ended, which says what it missed
		if args, err = recovered(ctx, args); err != nil {
			return err
		}
	}
	path := "PATH=" + scripts() + ":" + os.Getenv("PATH")
	if c.nodes[n], err = start(filepath.Join(folder, "mariadbd.log"), []string{path}, "mariadbd", args...); err != nil {
		return err
	}
	if begins {
		if err := c.nodes[n].until(ctx, func() error { return c.grant(ctx, folder) }); err != nil {
			return err
		}
	}
	return c.nodes[n].until(ctx, func() error { _, err := c.Members(ctx, n); return err })
}

// configured is a node's configuration as docs/operations.md has it, but that all are on loopback.
const configured = `[mariadbd]
user = %[1]s
datadir = %[2]s/data
socket = %[2]s/db.sock
pid-file = %[2]s/db.pid
bind-address = %[3]s
port = %[4]d
skip-name-resolve
character-set-server = utf8mb4
collation-server = utf8mb4_uca1400_as_ci
innodb-buffer-pool-size = 64M
innodb-flush-log-at-trx-commit = 1

binlog-format = ROW
innodb-autoinc-lock-mode = 2
wsrep-on = ON
wsrep-provider = %[5]s
wsrep-cluster-name = keeler
wsrep-cluster-address = %[6]s
wsrep-node-name = node%[7]d
wsrep-node-address = %[8]s
wsrep-provider-options = "gmcast.listen_addr=tcp://%[8]s;ist.recv_addr=%[9]s;gcache.size=64M"
wsrep-sst-method = mariabackup
wsrep-sst-receive-address = %[10]s
wsrep-sst-auth = %[11]s
`

// KillNode ends a node as a power cut would.
func (c *Cluster) KillNode(n int) { c.nodes[n].kill() }

// grant makes the account on the first node; the others get it with the data.
func (c *Cluster) grant(ctx context.Context, folder string) error {
	from := "'" + account + "'@'127.0.0.%'"
	local := "'" + account + "'@'localhost'" // a copy for another node is made by the socket
	client := exec.CommandContext(ctx, "mariadb", "--no-defaults", "--socket="+filepath.Join(folder, "db.sock"), "--user="+owner())
	client.Stdin = strings.NewReader(fmt.Sprintf(`CREATE DATABASE IF NOT EXISTS keeler;
		CREATE USER IF NOT EXISTS %[1]s IDENTIFIED BY '%[3]s'; GRANT ALL ON *.* TO %[1]s;
		CREATE USER IF NOT EXISTS %[2]s IDENTIFIED BY '%[3]s'; GRANT RELOAD, PROCESS, LOCK TABLES, BINLOG MONITOR, REPLICA MONITOR ON *.* TO %[2]s;`, from, local, word))
	out, err := client.CombinedOutput()
	if err != nil {
		return fmt.Errorf("%w: %s", err, out)
	}
	return nil
}

// recovered adds where a node stands that was not ended in order.
func recovered(ctx context.Context, args []string) ([]string, error) {
	out, err := exec.CommandContext(ctx, "mariadbd", append(args, "--wsrep-recover")...).CombinedOutput()
	if err != nil {
		return nil, fmt.Errorf("mariadbd --wsrep-recover: %w\n%s", err, out)
	}
	const says = "Recovered position: "
	if _, position, found := strings.Cut(string(out), says); found {
		position, _, _ = strings.Cut(position, "\n")
		args = append(args, "--wsrep-start-position="+position)
	}
	return args, nil
}
