package app

// Secure is how the kitchen is reached over HTTPS, which browsers ask for before they let
// a page work offline, notify, copy or share.
type Secure struct {
	URL         string `json:"url" doc:"empty where it speaks none"`
	Root        string `json:"root" doc:"where the root of the kitchen's own authority is had, to be installed; empty for a certificate from elsewhere"`
	Fingerprint string `json:"fingerprint" doc:"the root's SHA-256"`
}
