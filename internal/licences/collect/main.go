// Command collect gathers the licences of what the program is linked with or ships, and prints them for
// internal/licences/LICENCES.txt. It is run from the top of the repository, after the front end's packages are installed.
package main

import (
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
	"os"
	"os/exec"
	"path/filepath"
	"regexp"
	"slices"
	"strings"

	"zaino/internal/licences"
)

func main() {
	if err := run(); err != nil {
		fmt.Fprintln(os.Stderr, "collect:", err)
		os.Exit(1)
	}
}

func run() error {
	modules, err := goModules()
	if err != nil {
		return err
	}
	packages, err := webPackages("web")
	if err != nil {
		return err
	}
	all := append(modules, packages...)
	slices.SortFunc(all, func(a, b licences.Licence) int { return strings.Compare(a.Name, b.Name) })
	fmt.Print("Zaino is linked with, or ships, what follows; each under the licence that stands below its name.\n" +
		"Made by go run ./internal/licences/collect; not edited by hand.\n")
	for _, l := range all {
		fmt.Printf("\n%s%s | %s\n\n%s\n", licences.Head, l.Name, l.Kind, l.Text)
	}
	return nil
}

// goModules are those that cmd/zaino is linked with, and Go's own library.
func goModules() ([]licences.Licence, error) {
	out, err := exec.Command("go", "list", "-deps", "-f",
		"{{with .Module}}{{if not .Main}}{{.Path}}\t{{.Version}}\t{{.Dir}}{{end}}{{end}}", "./cmd/zaino").Output()
	if err != nil {
		return nil, fmt.Errorf("go list: %w", err)
	}
	lines := strings.Split(strings.TrimSpace(string(out)), "\n")
	slices.Sort(lines)
	var all []licences.Licence
	for _, line := range slices.Compact(lines) {
		fields := strings.Split(line, "\t")
		if len(fields) != 3 {
			continue
		}
		l, err := licenceIn(fields[2], fields[0]+" "+fields[1])
		if err != nil {
			return nil, err
		}
		all = append(all, l)
		beside, err := alsoIn(fields[0], fields[2])
		if err != nil {
			return nil, err
		}
		all = append(all, beside...)
	}
	root, err := exec.Command("go", "env", "GOROOT").Output()
	if err != nil {
		return nil, err
	}
	l, err := licenceIn(strings.TrimSpace(string(root)), "Go standard library")
	return append(all, l), err
}

// alsoIn is what a module ships that is somebody else's.
func alsoIn(module, folder string) ([]licences.Licence, error) {
	switch module {
	case "golang.org/x/image":
		data, err := os.ReadFile(filepath.Join(folder, "font/gofont/ttfs/README"))
		return []licences.Licence{
			{Name: "Go fonts 2016 (letters of papers)", Kind: "BSD-3-Clause", Text: strings.TrimSpace(string(data))},
		}, err
	case "github.com/mattn/go-sqlite3":
		data, err := os.ReadFile(filepath.Join(folder, "sqlite3-binding.h"))
		version := regexp.MustCompile(`#define SQLITE_VERSION +"([^"]+)"`).FindSubmatch(data)
		if err == nil && version == nil {
			err = errors.New("the version of SQLite is not told")
		}
		if err != nil {
			return nil, err
		}
		return []licences.Licence{{Name: "SQLite " + string(version[1]), Kind: "public domain",
			Text: "Its authors disclaim copyright to its source code; all of it is in the public domain."}}, nil
	}
	return nil, nil
}

// webPackages are those that the front end is built of: what its package.json names, and what that needs.
func webPackages(folder string) ([]licences.Licence, error) {
	data, err := os.ReadFile(filepath.Join(folder, "package-lock.json"))
	if err != nil {
		return nil, err
	}
	var lock struct {
		Packages map[string]struct {
			Version  string `json:"version"`
			Dev      bool   `json:"dev"`
			Optional bool   `json:"optional"`
		} `json:"packages"`
	}
	if err := json.Unmarshal(data, &lock); err != nil {
		return nil, err
	}
	var all []licences.Licence
	for path, p := range lock.Packages {
		_, name, inside := strings.Cut(path, "node_modules/")
		if !inside || p.Dev || p.Optional || strings.HasPrefix(name, "@types/") { // types are gone once it is built
			continue
		}
		for _, last, deeper := strings.Cut(name, "node_modules/"); deeper; _, last, deeper = strings.Cut(name, "node_modules/") {
			name = last
		}
		l, err := licenceIn(filepath.Join(folder, path), name+" "+p.Version)
		if err != nil {
			return nil, err
		}
		all = append(all, l)
	}
	return all, nil
}

var (
	fileName = regexp.MustCompile(`(?i)^(licen[cs]e|copying|unlicense)([.-].*)?$`)
	kinds    = []struct{ sign, kind string }{ // the first that the text holds
		{"SIL OPEN FONT LICENSE", "OFL-1.1"},
		{"Apache License", "Apache-2.0"},
		{"provided that the above copyright notice and this permission notice appear in all copies", "ISC"},
		{"Permission to use, copy, modify, and/or distribute", "0BSD"},
		{"Permission is hereby granted, free of charge", "MIT"},
		{"Neither the name", "BSD-3-Clause"},
		{"Redistribution and use in source and binary forms", "BSD-2-Clause"},
	}
)

// licenceIn reads the licence that lies in a folder.
func licenceIn(folder, name string) (licences.Licence, error) {
	entries, err := os.ReadDir(folder)
	if err != nil {
		return licences.Licence{}, fmt.Errorf("%s: %w; install the packages first", name, err)
	}
	for _, e := range entries {
		if e.IsDir() || !fileName.MatchString(e.Name()) {
			continue
		}
		data, err := os.ReadFile(filepath.Join(folder, e.Name()))
		if err != nil {
			return licences.Licence{}, err
		}
		text := strings.TrimSpace(string(bytes.ReplaceAll(data, []byte("\r\n"), []byte("\n"))))
		oneLine := strings.Join(strings.Fields(text), " ")
		for _, k := range kinds {
			if strings.Contains(strings.ToLower(oneLine), strings.ToLower(k.sign)) {
				return licences.Licence{Name: name, Kind: k.kind, Text: text}, nil
			}
		}
		return licences.Licence{}, fmt.Errorf("%s: the licence in %s is of no known kind", name, e.Name())
	}
	return told(folder, name)
}

// told is of a package that has no file of a licence: what its package.json says, and who says it.
func told(folder, name string) (licences.Licence, error) {
	var p struct {
		License string `json:"license"`
		Author  any    `json:"author"`
	}
	data, err := os.ReadFile(filepath.Join(folder, "package.json"))
	if err == nil {
		err = json.Unmarshal(data, &p)
	}
	if err == nil && p.License == "" {
		err = errors.New("no licence is told")
	}
	if author, ok := p.Author.(map[string]any); ok {
		p.Author = author["name"]
	}
	return licences.Licence{Name: name, Kind: p.License,
		Text: fmt.Sprintf("Its makers (%v) ship no text; its description says %s.", p.Author, p.License)}, err
}
