// Run sets a cluster up on loopback, to look at (make cluster).
package main

import (
	"context"
	"fmt"
	"os"
	"os/signal"
	"syscall"

	"keeler/e2e/cluster"
)

func main() {
	if err := run(os.Args[1]); err != nil {
		fmt.Fprintln(os.Stderr, err)
		os.Exit(1)
	}
}

func run(keeler string) error {
	on, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	defer stop()
	dir, err := os.MkdirTemp("", "keeler-cluster-")
	if err != nil {
		return err
	}
	defer func() { _ = os.RemoveAll(dir) }()
	c, err := cluster.Up(on, dir, keeler, 18080)
	defer c.Down()
	if err != nil {
		return err
	}
	fmt.Printf("Keeler is at %s, by HAProxy. Past it:\n", c.URL)
	for n := range cluster.Size {
		fmt.Printf("  %s on node %s\n", c.Server(n), c.DSN(n))
	}
	fmt.Println("What each says is in", dir)
	fmt.Println("Ctrl-C ends all of it, and its data with it.")
	<-on.Done()
	return nil
}
