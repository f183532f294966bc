package house

import (
	"fmt"
	"go/ast"
	"go/parser"
	"go/token"
	"io/fs"
	"os"
	"path/filepath"
	"slices"
	"strings"
)

// Measured is how the code of some folders is cut.
type Measured struct {
	MedianLines, P90Lines, MostLines int    // of a function's body
	Longest                          string // its name
	CommentPct                       float64
	NamedIngredients                 []string // comparisons of an ID with a name
}

// Measure reads all code of the folders that is not a test.
func Measure(folders ...string) (Measured, error) {
	var m Measured
	var lengths []int
	lines, comments := 0, 0
	for _, folder := range folders {
		err := filepath.WalkDir(folder, func(path string, d fs.DirEntry, err error) error {
			if err != nil || d.IsDir() || !strings.HasSuffix(path, ".go") || strings.HasSuffix(path, "_test.go") {
				return err
			}
			files := token.NewFileSet()
			file, err := parser.ParseFile(files, path, nil, parser.ParseComments)
			if err != nil {
				return err
			}
			lines += files.Position(file.End()).Line
			for _, group := range file.Comments {
				comments += files.Position(group.End()).Line - files.Position(group.Pos()).Line + 1
			}
			ast.Inspect(file, func(n ast.Node) bool {
				switch n := n.(type) {
				case *ast.FuncDecl:
					if n.Body == nil {
						return true
					}
					length := files.Position(n.Body.End()).Line - files.Position(n.Body.Pos()).Line - 1
					if lengths = append(lengths, length); length > m.MostLines {
						m.MostLines, m.Longest = length, path+": "+n.Name.Name
					}
				case *ast.BinaryExpr:
					if namesIngredient(n) {
						m.NamedIngredients = append(m.NamedIngredients, files.Position(n.Pos()).String())
					}
				}
				return true
			})
			return nil
		})
		if err != nil {
			return m, err
		}
	}
	slices.Sort(lengths)
	m.MedianLines, m.P90Lines = lengths[len(lengths)/2], lengths[len(lengths)*9/10]
	m.CommentPct = 100 * float64(comments) / float64(lines)
	return m, nil
}

// namesIngredient tells whether an ID is held against a name written in code.
func namesIngredient(e *ast.BinaryExpr) bool {
	if e.Op != token.EQL && e.Op != token.NEQ {
		return false
	}
	field, ok := e.X.(*ast.SelectorExpr)
	literal, isLiteral := e.Y.(*ast.BasicLit)
	return ok && isLiteral && field.Sel.Name == "ID" && literal.Kind == token.STRING && literal.Value != `""`
}

// LongComponents are the functions of the front end that are longer than so many lines,
// by the file they are in. The formatter ends each at the beginning of a line.
func LongComponents(folder string, most int) (long []string, err error) {
	err = filepath.WalkDir(folder, func(path string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() || !strings.HasSuffix(path, ".tsx") {
			return err
		}
		text, err := os.ReadFile(path)
		if err != nil {
			return err
		}
		begun := -1
		for n, line := range strings.Split(string(text), "\n") {
			switch {
			case strings.Contains(line, "function ") && !strings.HasPrefix(line, " "):
				begun = n
			case (line == "}" || line == "})") && begun >= 0:
				if n-begun+1 > most {
					long = append(long, fmt.Sprintf("%s:%d, %d lines", path, begun+1, n-begun+1))
				}
				begun = -1
			}
		}
		return nil
	})
	return long, err
}
