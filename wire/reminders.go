package wire

// PushKey is what a browser is told to expect reminders by.
type PushKey struct {
	Key string `json:"key" doc:"Of the server, VAPID: P-256, uncompressed, in base64url."`
}

// RemindMe is a browser in which one wants to be reminded, as its push subscription tells.
type RemindMe struct {
	Endpoint string `json:"endpoint" maxLength:"1000"`
	P256dh   string `json:"p256dh" maxLength:"120" doc:"In base64url."`
	Auth     string `json:"auth" maxLength:"60" doc:"In base64url."`
}

// Reminded names such a browser.
type Reminded struct {
	Endpoint string `json:"endpoint" maxLength:"1000"`
}

// Reminder is what is sent to a browser.
type Reminder struct {
	Title string `json:"title"`
	Body  string `json:"body"`
	URL   string `json:"url" doc:"The page that it leads to."`
}
