package http

import (
	"bytes"
	"context"
	"crypto/tls"
	"io"
	"mime/multipart"
	"net/http"
	"net/url"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/gofiber/fiber/v3"
)

// asked are the ways to ask for something; the answer to HEAD is sent without
// its body.
var asked = []string{http.MethodGet, http.MethodHead}

// adapter registers huma's operations on a Fiber app.
type adapter struct{ app *fiber.App }

func (a adapter) Handle(op *huma.Operation, handler func(huma.Context)) {
	path := strings.NewReplacer("{", ":", "}", "").Replace(op.Path)
	methods := []string{op.Method}
	if op.Method == http.MethodGet {
		methods = asked
	}
	a.app.Add(methods, path, func(c fiber.Ctx) error {
		handler(&operationContext{op: op, c: c})
		return nil
	})
}

func (a adapter) ServeHTTP(w http.ResponseWriter, r *http.Request) {
	response, err := a.app.Test(r)
	if err != nil {
		http.Error(w, err.Error(), http.StatusInternalServerError)
		return
	}
	defer func() { _ = response.Body.Close() }()
	for name, values := range response.Header {
		w.Header()[name] = values
	}
	w.WriteHeader(response.StatusCode)
	_, _ = io.Copy(w, response.Body)
}

// operationContext is a Fiber request as huma sees it. Strings from Fiber are
// only lent for the request, so those that huma may keep are cloned.
type operationContext struct {
	op     *huma.Operation
	c      fiber.Ctx
	status int
}

var _ huma.Context = (*operationContext)(nil)

func (o *operationContext) Operation() *huma.Operation { return o.op }
func (o *operationContext) Context() context.Context   { return o.c.Context() }
func (o *operationContext) TLS() *tls.ConnectionState  { return o.c.RequestCtx().TLSConnectionState() }
func (o *operationContext) Version() huma.ProtoVersion {
	return huma.ProtoVersion{Proto: o.c.Protocol()}
}
func (o *operationContext) Method() string              { return o.c.Method() }
func (o *operationContext) Host() string                { return strings.Clone(o.c.Host()) }
func (o *operationContext) RemoteAddr() string          { return o.c.RequestCtx().RemoteAddr().String() }
func (o *operationContext) Param(name string) string    { return strings.Clone(o.c.Params(name)) }
func (o *operationContext) Query(name string) string    { return strings.Clone(o.c.Query(name)) }
func (o *operationContext) Header(name string) string   { return strings.Clone(o.c.Get(name)) }
func (o *operationContext) Status() int                 { return o.status }
func (o *operationContext) SetHeader(name, v string)    { o.c.Set(name, v) }
func (o *operationContext) AppendHeader(name, v string) { o.c.Append(name, v) }
func (o *operationContext) BodyWriter() io.Writer       { return o.c.RequestCtx() }
func (o *operationContext) BodyReader() io.Reader       { return bytes.NewReader(o.c.Body()) }

func (o *operationContext) URL() url.URL {
	u, err := url.Parse(strings.Clone(o.c.OriginalURL()))
	if err != nil {
		return url.URL{Path: o.c.Path()}
	}
	return *u
}

func (o *operationContext) EachHeader(each func(name, value string)) {
	for name, value := range o.c.Request().Header.All() {
		each(string(name), string(value))
	}
}

func (o *operationContext) GetMultipartForm() (*multipart.Form, error) { return o.c.MultipartForm() }

func (o *operationContext) SetReadDeadline(deadline time.Time) error {
	return o.c.RequestCtx().Conn().SetReadDeadline(deadline)
}

func (o *operationContext) SetStatus(code int) {
	o.status = code
	o.c.Status(code)
}
