package mariadbd

import (
	"bytes"
	"errors"
	"fmt"
	"os"
	"path/filepath"
	"strconv"
	"strings"
	"syscall"
	"time"
)

// dataOption names the data directory on the command line, by which a process is known.
const dataOption = "--datadir="

// askedFor is how long what was left is asked to end in order, before it is killed.
var askedFor = stopTimeout

// stopOrphans ends what a Keeler that was killed left running on a data directory, its
// making included: while one runs there, none can be started.
func stopOrphans(data string) error {
	deadline := time.Now().Add(askedFor)
	for signal := syscall.SIGTERM; ; {
		for _, making := range orphans(data + fresh) { // what it makes is thrown away
			_ = syscall.Kill(making, syscall.SIGKILL)
		}
		found := append(orphans(data), orphans(data+fresh)...)
		if len(found) == 0 {
			return nil
		}
		if time.Now().After(deadline) {
			if signal == syscall.SIGKILL {
				return fmt.Errorf("a MariaDB that was left on %s does not end: process %v", data, found)
			}
			signal, deadline = syscall.SIGKILL, time.Now().Add(askedFor)
		}
		for _, pid := range found {
			_ = syscall.Kill(pid, signal)
		}
		time.Sleep(pollEvery)
	}
}

// orphans are the processes of this system that have a data directory.
func orphans(data string) (pids []int) {
	all, _ := filepath.Glob("/proc/[0-9]*/cmdline")
	for _, path := range all {
		line, err := os.ReadFile(path)
		if err != nil {
			continue // it has ended
		}
		words := bytes.Split(line, []byte{0})
		for _, w := range words[1:] {
			if string(w) != dataOption+data {
				continue
			}
			if pid, err := strconv.Atoi(strings.Split(path, "/")[2]); err == nil {
				pids = append(pids, pid)
			}
		}
	}
	return pids
}

// runNote is the file that tells where the run folder is.
const runNote = "run-folder"

// runFolder makes a folder for what does not outlive the server, and removes the one that
// a killed server left: a file tells where that was.
func runFolder(told string) (string, error) {
	const name = "keeler-"
	before, err := os.ReadFile(told)
	if err == nil && strings.HasPrefix(filepath.Base(string(before)), name) {
		err = os.RemoveAll(string(before))
	}
	if err != nil && !errors.Is(err, os.ErrNotExist) {
		return "", err
	}
	folder, err := os.MkdirTemp(os.Getenv("RUNTIME_DIRECTORY"), name) // systemd's, where it runs this
	if err != nil {
		return "", err
	}
	return folder, os.WriteFile(told, []byte(folder), 0o600)
}
