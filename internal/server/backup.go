package server

import (
	"fmt"

	"github.com/gofiber/fiber/v3"
)

// backup answers everything in the kitchen as one file.
func (s *server) backup(c fiber.Ctx) error {
	out, err := s.store.Backup()
	if err != nil {
		return err
	}
	c.Set("Content-Type", "application/json")
	c.Set("Content-Disposition", fmt.Sprintf(`attachment; filename="plush-ladle-%s.json"`, s.now().Format(dateLayout)))
	c.Set("Cache-Control", "no-store")
	return c.Send(out)
}
