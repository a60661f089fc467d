package main

import (
	_ "embed"
	"fmt"
	"os"
	"strings"
)

// unit is how systemd runs Keeler; {program} is its path.
//
//go:embed keeler.service
var unit string

type unitCommand struct{}

// Run prints it for the program that was asked.
func (unitCommand) Run() error {
	program, err := os.Executable()
	if err != nil {
		return err
	}
	_, err = fmt.Print(strings.ReplaceAll(unit, "{program}", program))
	return err
}
