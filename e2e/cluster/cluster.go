// Package cluster sets up several Keelers on a MariaDB Galera cluster behind HAProxy, all on
// loopback: for tests, and to look at.
package cluster

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
	"net/http"
	"os"
	"path/filepath"
	"strings"
	"time"

	_ "github.com/go-sql-driver/mysql"
)

// Size is how many nodes there are, and servers.
const Size = 3

// Cluster is what runs. Node and server number n live at 127.0.0.n, so that each has the ports
// that it would have on a machine of its own.
type Cluster struct {
	URL   string // of the proxy
	dir   string
	keel  string // Keeler's program
	from  int    // the first of the ports
	nodes [Size]*process
	serve [Size]*process
	proxy *process
}

// The ports of every address, counted from the first.
const (
	portDB = iota
	portGroup
	portIST
	portSST
	portKeeler
	portProxy
)

func (c *Cluster) port(of int) int           { return c.from + of }
func address(n int) string                   { return fmt.Sprintf("127.0.0.%d", n+1) }
func (c *Cluster) at(n, of int) string       { return fmt.Sprintf("%s:%d", address(n), c.port(of)) }
func (c *Cluster) folder(name string) string { return filepath.Join(c.dir, name) }

// DSN is the database as a node has it.
func (c *Cluster) DSN(n int) string {
	return fmt.Sprintf("%s:%s@tcp(%s)/keeler", account, word, c.at(n, portDB))
}

// Server is the address of one server, past the proxy.
func (c *Cluster) Server(n int) string { return "http://" + c.at(n, portKeeler) }

// Up starts a cluster in an empty folder, its ports counted from one: the nodes, the servers with
// the demo, and the proxy. Down must be called at its end, also where it fails.
func Up(ctx context.Context, dir, keeler string, from int) (*Cluster, error) {
	c := &Cluster{dir: dir, keel: keeler, from: from}
	c.URL = "http://" + c.at(0, portProxy)
	for n := range Size {
		if err := c.StartNode(ctx, n); err != nil {
			return c, err
		}
	}
	for n := range Size {
		if err := c.StartServer(ctx, n); err != nil {
			return c, err
		}
	}
	return c, c.startProxy(ctx)
}

// Down ends all of it, the proxy first.
func (c *Cluster) Down() {
	c.proxy.end()
	for _, s := range c.serve {
		s.end()
	}
	for _, n := range c.nodes {
		n.end()
	}
}

// StartServer starts a server on its node, and waits until it answers.
func (c *Cluster) StartServer(ctx context.Context, n int) (err error) {
	c.serve[n], err = start(c.folder(fmt.Sprint("keeler", n+1, ".log")), nil, c.keel, "demo", "--addr", c.at(n, portKeeler), "--dsn", c.DSN(n),
		"--data", c.folder(fmt.Sprint("keeler", n+1)), "--trusted-proxies", "127.0.0.0/8", "--public-url", c.URL)
	if err != nil {
		return err
	}
	return c.serve[n].until(ctx, func() error { return healthy(ctx, c.Server(n)) })
}

// KillServer ends a server as a power cut would.
func (c *Cluster) KillServer(n int) { c.serve[n].kill() }

// healthy asks a server whether it can read and write.
func healthy(ctx context.Context, url string) error {
	asked, err := http.NewRequestWithContext(ctx, http.MethodGet, url+"/healthz", nil)
	if err != nil {
		return err
	}
	answer, err := (&http.Client{Timeout: time.Second}).Do(asked)
	if err != nil {
		return err
	}
	defer func() { _ = answer.Body.Close() }()
	if answer.StatusCode != http.StatusOK {
		return errors.New(answer.Status)
	}
	return nil
}

// startProxy starts HAProxy, which asks every server each second and sends a request to those
// that answer.
func (c *Cluster) startProxy(ctx context.Context) error {
	var config strings.Builder
	fmt.Fprintf(&config, proxied, c.at(0, portProxy))
	for n := range Size {
		fmt.Fprintf(&config, "  server keeler%d %s check\n", n+1, c.at(n, portKeeler))
	}
	file := c.folder("haproxy.cfg")
	if err := os.WriteFile(file, []byte(config.String()), 0o600); err != nil {
		return err
	}
	var err error
	if c.proxy, err = start(c.folder("haproxy.log"), nil, "haproxy", "-db", "-f", file); err != nil {
		return err
	}
	return c.proxy.until(ctx, func() error { return healthy(ctx, c.URL) })
}

// proxied is HAProxy's configuration as docs/operations.md has it.
const proxied = `global
  maxconn 2000
defaults
  mode http
  timeout connect 2s
  timeout client 60s
  timeout server 60s
  option redispatch 1
  retries 3
  option forwardfor
frontend keeler
  bind %[1]s
  default_backend keelers
backend keelers
  balance roundrobin
  option httpchk
  http-check send meth GET uri /healthz ver HTTP/1.1 hdr Host %[1]s
  default-server inter 1s fall 2 rise 1 on-marked-down shutdown-sessions
`

// Members is how many nodes a node sees, itself among them; an error where it takes no part.
func (c *Cluster) Members(ctx context.Context, n int) (members int, err error) {
	db, err := sql.Open("mysql", c.DSN(n)+"?timeout=1s&readTimeout=2s")
	if err != nil {
		return 0, err
	}
	defer func() { _ = db.Close() }()
	var name, ready string
	if err = db.QueryRowContext(ctx, "SHOW STATUS LIKE 'wsrep_ready'").Scan(&name, &ready); err != nil {
		return 0, err
	}
	if ready != "ON" {
		return 0, errors.New("it takes no part yet")
	}
	return members, db.QueryRowContext(ctx, "SHOW STATUS LIKE 'wsrep_cluster_size'").Scan(&name, &members)
}
