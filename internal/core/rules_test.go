package core_test

import (
	"cmp"
	"fmt"
	"go/ast"
	"go/parser"
	"go/token"
	"io/fs"
	"os"
	"path/filepath"
	"regexp"
	"slices"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// ruleID is how ids of rules are written: words with hyphens, or one word of those that stand alone.
var ruleID = regexp.MustCompile(
	`^[a-z]+(-[a-z]+)+$|^(hides|tight|lip|buried|restraint|ventilation|frost|standby|seats|topples)$`,
)

// told is what is known of one rule from the code: where it stands, what its author says it does, which tests name
// it.
type told struct {
	id, pkg, says string
	tests         []string
}

// rulesInCode reads every rule out of the source: the id that a finding is begun with, and the comment of its
// function.
func rulesInCode(t *testing.T) []told {
	all := map[string]*told{}
	comments := map[string]string{} // of functions, by package and name
	type entry struct{ id, pkg, function string }
	var listed []entry
	visit := func(path string, f *ast.File) {
		pkg := filepath.ToSlash(filepath.Dir(path))
		for _, d := range f.Decls {
			fn, isFunc := d.(*ast.FuncDecl)
			says := ""
			if isFunc {
				says = firstSentence(fn.Doc.Text(), fn.Name.Name)
				comments[pkg+"."+fn.Name.Name] = says
			} else if gen, ok := d.(*ast.GenDecl); ok {
				for _, spec := range gen.Specs {
					if value, ok := spec.(*ast.ValueSpec); ok {
						says = firstSentence(cmp.Or(value.Doc.Text(), gen.Doc.Text()), value.Names[0].Name)
						comments[pkg+"."+value.Names[0].Name] = says
					}
				}
			}
			ast.Inspect(d, func(n ast.Node) bool {
				var value ast.Expr
				switch n := n.(type) {
				case *ast.KeyValueExpr:
					if key, ok := n.Key.(*ast.Ident); ok && key.Name == "Rule" {
						value = n.Value
					}
				case *ast.AssignStmt:
					if sel, ok := n.Lhs[0].(*ast.SelectorExpr); ok && sel.Sel.Name == "Rule" {
						value = n.Rhs[0]
						if len(n.Lhs) > 1 && len(n.Rhs) == len(n.Lhs) {
							value = n.Rhs[0]
						}
					}
				case *ast.CallExpr:
					name := ""
					switch f := n.Fun.(type) {
					case *ast.Ident:
						name = f.Name
					case *ast.SelectorExpr:
						name = f.Sel.Name
					}
					if strings.HasPrefix(strings.ToLower(name), "about") || name == "asks" || name == "finding" || name == "note" {
						for _, arg := range n.Args[:min(2, len(n.Args))] {
							if lit, ok := arg.(*ast.BasicLit); ok && lit.Kind == token.STRING {
								value = lit
								break
							}
						}
					}
				case *ast.CompositeLit:
					// {"bad-neighbours", keeping.BadNeighbours} of the list of fit.
					if len(n.Elts) == 2 {
						lit, ok := n.Elts[0].(*ast.BasicLit)
						pkg, function, ok2 := pkg, "", false
						switch f := n.Elts[1].(type) {
						case *ast.Ident:
							function, ok2 = f.Name, true
						case *ast.SelectorExpr:
							if of, is := f.X.(*ast.Ident); is {
								pkg, function, ok2 = "fit/"+of.Name, f.Sel.Name, true
							}
						}
						if ok && ok2 && lit.Kind == token.STRING && path == filepath.Join("fit", "rules.go") {
							id, _ := strconv.Unquote(lit.Value)
							listed = append(listed, entry{id, pkg, function})
						}
					}
				}
				if lit, ok := value.(*ast.BasicLit); ok && lit.Kind == token.STRING {
					if id, _ := strconv.Unquote(lit.Value); ruleID.MatchString(id) && all[id] == nil {
						all[id] = &told{id: id, pkg: pkg, says: says}
					}
				}
				return true
			})
		}
	}
	walk(t, ".", func(path string, f *ast.File) {
		if !strings.HasSuffix(path, "_test.go") {
			visit(path, f)
		}
	})
	for _, e := range listed {
		if !ruleID.MatchString(e.id) {
			continue
		}
		if all[e.id] == nil {
			all[e.id] = &told{id: e.id, pkg: e.pkg}
		}
		if says := comments[e.pkg+"."+e.function]; says != "" {
			all[e.id].says = says
		}
	}
	for _, dir := range []string{".", "../../e2e", "../api", "../exchange"} {
		walk(t, dir, func(path string, f *ast.File) {
			if strings.HasSuffix(path, "_test.go") {
				testsIn(f, all)
			}
		})
	}
	rules := make([]told, 0, len(all))
	for _, r := range all {
		slices.Sort(r.tests)
		rules = append(rules, *r)
	}
	slices.SortFunc(rules, func(a, b told) int { return strings.Compare(a.pkg+" "+a.id, b.pkg+" "+b.id) })
	return rules
}

// testsIn adds the tests of a file to the rules that they name; a table beside them counts for the first test after
// it.
func testsIn(f *ast.File, all map[string]*told) {
	var waiting []string
	for _, d := range f.Decls {
		var named []string
		ast.Inspect(d, func(n ast.Node) bool {
			if lit, ok := n.(*ast.BasicLit); ok && lit.Kind == token.STRING {
				text, _ := strconv.Unquote(lit.Value)
				for _, id := range strings.FieldsFunc(text, func(r rune) bool { return !(r == '-' || r >= 'a' && r <= 'z') }) {
					if all[id] != nil {
						named = append(named, id)
					}
				}
			}
			return true
		})
		fn, isFunc := d.(*ast.FuncDecl)
		if !isFunc || !strings.HasPrefix(fn.Name.Name, "Test") {
			waiting = append(waiting, named...)
			continue
		}
		for _, id := range append(waiting, named...) {
			if !slices.Contains(all[id].tests, fn.Name.Name) {
				all[id].tests = append(all[id].tests, fn.Name.Name)
			}
		}
		waiting = nil
	}
}

func walk(t *testing.T, dir string, visit func(path string, f *ast.File)) {
	require.NoError(t, filepath.WalkDir(dir, func(path string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() || !strings.HasSuffix(path, ".go") {
			return err
		}
		f, err := parser.ParseFile(token.NewFileSet(), path, nil, parser.ParseComments)
		if err == nil {
			visit(path, f)
		}
		return err
	}))
}

// firstSentence of a comment, without the name that it begins with.
func firstSentence(comment, name string) string {
	text := strings.Join(strings.Fields(comment), " ")
	if name != "" {
		text = strings.TrimPrefix(text, name+" ")
	}
	if i := strings.Index(text, ". "); i >= 0 {
		text = text[:i]
	}
	return strings.TrimSuffix(text, ".")
}

const (
	rulesPage  = "../../docs/rules.md"
	listBegins = "<!-- every rule, written by the test of this page -->\n"
)

// Every rule of the program stands on the page of rules, as its code says it now; what the trade says there names
// rules that exist. ZAINO_WRITE=1 writes the list anew.
func TestThePageOfRulesIsComplete(t *testing.T) {
	rules := rulesInCode(t)
	require.Greater(t, len(rules), 200)
	var list strings.Builder
	list.WriteString(listBegins)
	pkg := ""
	for _, r := range rules {
		if r.pkg != pkg {
			pkg = r.pkg
			fmt.Fprintf(&list, "\n### %s\n\n| rule | what it does | tests |\n|---|---|---|\n", pkg)
		}
		assert.NotEmpty(t, r.says, "%s: what it does is the comment of its function", r.id)
		if assert.NotEmpty(t, r.tests, "%s is in no test", r.id) {
			r.tests = r.tests[:min(2, len(r.tests))]
		}
		fmt.Fprintf(&list, "| `%s` | %s | %s |\n", r.id, strings.ReplaceAll(r.says, "|", "/"),
			strings.Join(r.tests, ", "))
	}
	page, err := os.ReadFile(rulesPage)
	require.NoError(t, err)
	head, was, found := strings.Cut(string(page), listBegins)
	require.True(t, found)
	if os.Getenv("ZAINO_WRITE") != "" {
		require.NoError(t, os.WriteFile(rulesPage, []byte(head+list.String()), 0o644))
	} else {
		assert.True(t, list.String() == listBegins+was,
			"the page is not this list; ZAINO_WRITE=1 go test ./internal/core -run PageOfRules writes it")
		// Line by line, so that a failure shows the rules that differ and not the whole page.
		are, were := strings.Split(list.String(), "\n"), strings.Split(listBegins+was, "\n")
		differ := slices.DeleteFunc(slices.Clone(are), func(line string) bool { return slices.Contains(were, line) })
		gone := slices.DeleteFunc(were, func(line string) bool { return slices.Contains(are, line) })
		assert.Empty(t, differ, "not on the page")
		assert.Empty(t, gone, "on the page, and no longer so")
	}
	known := map[string]bool{}
	for _, r := range rules {
		known[r.id] = true
	}
	for _, named := range regexp.MustCompile("`([a-z]+(?:-[a-z]+)*)`").FindAllStringSubmatch(head, -1) {
		assert.True(t, known[named[1]], "%s is no rule", named[1])
	}
}
