package cluster

import (
	"context"
	"errors"
	"fmt"
	"os"
	"os/exec"
	system "os/user"
	"syscall"
	"time"
)

// process is a program that runs beside.
type process struct {
	cmd   *exec.Cmd
	log   string
	ended chan struct{}
}

const (
	upWithin  = 2 * time.Minute
	askEvery  = 100 * time.Millisecond
	endWithin = 20 * time.Second
)

// start begins a program whose words go to a file.
func start(log string, env []string, program string, args ...string) (*process, error) {
	file, err := os.OpenFile(log, os.O_CREATE|os.O_APPEND|os.O_WRONLY, 0o600)
	if err != nil {
		return nil, err
	}
	defer func() { _ = file.Close() }()
	p := &process{cmd: exec.Command(program, args...), log: log, ended: make(chan struct{})}
	p.cmd.Stdout, p.cmd.Stderr, p.cmd.Env = file, file, append(os.Environ(), env...)
	p.cmd.SysProcAttr = &syscall.SysProcAttr{Setpgid: true} // with what it begins itself
	if err := p.cmd.Start(); err != nil {
		return nil, err
	}
	go func() { _ = p.cmd.Wait(); close(p.ended) }()
	return p, nil
}

// until asks something of it again and again, until it is so.
func (p *process) until(ctx context.Context, asked func() error) error {
	ctx, cancel := context.WithTimeout(ctx, upWithin)
	defer cancel()
	tick := time.NewTicker(askEvery)
	defer tick.Stop()
	for {
		err := asked()
		if err == nil {
			return nil
		}
		select {
		case <-p.ended:
			return fmt.Errorf("%s ended: see %s", p.cmd.Path, p.log)
		case <-ctx.Done():
			return fmt.Errorf("%s: %w; see %s", p.cmd.Path, errors.Join(err, ctx.Err()), p.log)
		case <-tick.C:
		}
	}
}

// kill ends it and what it began, at once.
func (p *process) kill() { p.signal(syscall.SIGKILL) }

// end lets it end in order, or kills it.
func (p *process) end() {
	if p == nil {
		return
	}
	kill := time.AfterFunc(endWithin, p.kill)
	defer kill.Stop()
	p.signal(syscall.SIGTERM)
}

func (p *process) signal(s syscall.Signal) {
	_ = syscall.Kill(-p.cmd.Process.Pid, s) // it may have ended by itself
	<-p.ended
}

func exists(path string) bool {
	_, err := os.Stat(path)
	return err == nil
}

// owner is the user whom this runs as.
func owner() string {
	me, err := system.Current()
	if err != nil {
		return ""
	}
	return me.Username
}

// scripts is the folder of what copies a node's data to another (scripts/setup.sh cluster).
func scripts() string {
	if at, err := exec.LookPath("wsrep_sst_mariabackup"); err == nil {
		return at[:len(at)-len("/wsrep_sst_mariabackup")]
	}
	home, _ := os.UserCacheDir()
	return home + "/keeler/wsrep"
}
