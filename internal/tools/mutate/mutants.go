package main

import (
	"fmt"
	"go/ast"
	"go/parser"
	"go/token"
	"math/rand/v2"
	"os"
	"path/filepath"
	"strconv"
	"strings"
)

// kind is what is changed.
type kind int

const (
	logic kind = iota
	constant
)

// mutant is one change in one place.
type mutant struct {
	kind     kind
	file     string
	line     int
	at, long int    // bytes in the file that are taken out
	with     string // what stands there instead
	was      string
}

func (m mutant) String() string {
	return fmt.Sprintf("%s:%d: %s becomes %s", m.file, m.line, m.was, m.with)
}

// instead are the operators that stand in for each.
var instead = map[token.Token]token.Token{
	token.ADD: token.SUB, token.SUB: token.ADD, token.MUL: token.QUO, token.QUO: token.MUL,
	token.LSS: token.LEQ, token.LEQ: token.LSS, token.GTR: token.GEQ, token.GEQ: token.GTR,
	token.EQL: token.NEQ, token.NEQ: token.EQL, token.LAND: token.LOR, token.LOR: token.LAND,
	token.INC: token.DEC, token.DEC: token.INC, token.ADD_ASSIGN: token.SUB_ASSIGN, token.SUB_ASSIGN: token.ADD_ASSIGN,
	token.MUL_ASSIGN: token.QUO_ASSIGN, token.QUO_ASSIGN: token.MUL_ASSIGN,
}

// mutantsOf are all changes of a package's sources, or of those of them that are named.
func mutantsOf(folder string, only map[string]bool) ([]mutant, error) {
	names, err := filepath.Glob(filepath.Join(folder, "*.go"))
	if err != nil {
		return nil, err
	}
	var all []mutant
	for _, name := range names {
		if strings.HasSuffix(name, "_test.go") || only != nil && !only[name] {
			continue
		}
		text, err := os.ReadFile(name)
		if err != nil {
			return nil, err
		}
		files := token.NewFileSet()
		file, err := parser.ParseFile(files, name, text, parser.ParseComments)
		if err != nil {
			return nil, err
		}
		f := finder{name: name, files: files}
		ast.Inspect(file, f.visit)
		all = append(all, f.found...)
	}
	return all, nil
}

// finder collects the places of a file that can be changed.
type finder struct {
	name  string
	files *token.FileSet
	found []mutant
}

func (f *finder) visit(n ast.Node) bool {
	switch n := n.(type) {
	case *ast.ImportSpec:
		return false
	case *ast.CallExpr:
		if calls(n, "strconv") || isMade(n) { // how a number is written or a list begun, which changes no figure
			return false
		}
	case *ast.BinaryExpr:
		if !isText(n.X) && !isText(n.Y) {
			f.swap(n.OpPos, n.Op)
		}
	case *ast.IncDecStmt:
		f.swap(n.TokPos, n.Tok)
	case *ast.AssignStmt:
		if len(n.Rhs) == 1 && !isText(n.Rhs[0]) {
			f.swap(n.TokPos, n.Tok)
		}
	case *ast.BasicLit:
		f.number(n)
	}
	return true
}

// isText tells what plainly is text, to which a minus means nothing.
func isText(e ast.Expr) bool {
	switch e := e.(type) {
	case *ast.BasicLit:
		return e.Kind == token.STRING || e.Kind == token.CHAR
	case *ast.BinaryExpr:
		return isText(e.X) || isText(e.Y)
	case *ast.CallExpr:
		return calls(e, "strings") || calls(e, "fmt") || calls(e, "strconv")
	}
	return false
}

// calls tells whether a function of a package is called.
func calls(e *ast.CallExpr, name string) bool {
	s, ok := e.Fun.(*ast.SelectorExpr)
	if !ok {
		return false
	}
	x, _ := s.X.(*ast.Ident)
	return x != nil && x.Name == name
}

// isMade tells what makes a list or a map with room for so many.
func isMade(e *ast.CallExpr) bool {
	name, ok := e.Fun.(*ast.Ident)
	return ok && name.Name == "make" && len(e.Args) > 0 && (len(e.Args) == 3 || isMap(e.Args[0]))
}

func isMap(e ast.Expr) bool {
	_, ok := e.(*ast.MapType)
	return ok
}

func (f *finder) swap(at token.Pos, op token.Token) {
	if with, ok := instead[op]; ok {
		f.add(logic, at, op.String(), with.String())
	}
}

// guard begins what is written for "next to nothing", such as 1e-9, which keeps rounding out: a
// tenth more of it changes no figure.
const guard = "1e-"

// number makes a whole number one more, and any other a tenth more: enough that a figure worked
// from it is not the same.
func (f *finder) number(l *ast.BasicLit) {
	switch l.Kind {
	case token.INT:
		if n, err := strconv.ParseInt(l.Value, 0, 64); err == nil {
			f.add(constant, l.Pos(), l.Value, strconv.FormatInt(n+1, 10))
		}
	case token.FLOAT:
		if v, err := strconv.ParseFloat(l.Value, 64); err == nil && v != 0 && !strings.HasPrefix(l.Value, guard) {
			f.add(constant, l.Pos(), l.Value, strconv.FormatFloat(v*1.1, 'g', 12, 64))
		}
	}
}

func (f *finder) add(k kind, at token.Pos, was, with string) {
	place := f.files.Position(at)
	f.found = append(f.found, mutant{kind: k, file: f.name, line: place.Line, at: place.Offset, long: len(was), with: with, was: was})
}

// sampled are so many of each kind, the same for the same seed.
func sampled(all []mutant, most int, seed uint64) []mutant {
	random := rand.New(rand.NewPCG(seed, seed))
	random.Shuffle(len(all), func(a, b int) { all[a], all[b] = all[b], all[a] })
	var out []mutant
	count := map[kind]int{}
	for _, m := range all {
		if count[m.kind]++; most == 0 || count[m.kind] <= most {
			out = append(out, m)
		}
	}
	return out
}
