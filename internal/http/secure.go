package http

import (
	"github.com/gofiber/fiber/v3"

	"plushladle/internal/app"
	"plushladle/internal/authority"
)

// rootPath is where a phone gets the root of the kitchen's own authority, also one that
// has not signed in: it is no secret, and without it a phone cannot come in safely.
const rootPath = "/plush-ladle-root.crt"

// sendRoot sends the root as phones take it.
func sendRoot(a *authority.Authority) fiber.Handler {
	root := a.Certificate()
	return func(c fiber.Ctx) error {
		c.Set("Content-Type", "application/x-x509-ca-cert")
		c.Set("Content-Disposition", `attachment; filename="plush-ladle-root.crt"`)
		return c.Send(root)
	}
}

// secureOf is how the kitchen is reached over HTTPS.
func secureOf(c Config) app.Secure {
	out := app.Secure{URL: c.SecureURL}
	if c.Authority != nil {
		out.Root, out.Fingerprint = rootPath, c.Authority.Fingerprint()
	}
	return out
}
