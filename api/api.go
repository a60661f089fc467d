// Package api is Keeler over HTTP. It holds no rule: each operation hands its
// request to app or wire and turns what comes back into an answer or a problem.
package api

import (
	"log/slog"
	"net/http"
	"reflect"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/adapters/humagin"
	"github.com/gin-gonic/gin"
	"github.com/prometheus/client_golang/prometheus"

	"keeler/app"
	"keeler/core/hive"
)

// Front is what the HTTP side is made with.
type Front struct {
	App  *app.App
	Page Page
	Log  *slog.Logger
	// PublicURL is the address that people use, where it is not the one served on.
	PublicURL string
	// Closing ends what is answered as long as somebody listens; nil: nothing does.
	Closing <-chan struct{}
	// Secure is set where only HTTPS is used: the cookie then goes nowhere else.
	Secure bool
	// Port is the one served on: a cookie knows no ports, so each has one of its own name.
	Port string
	// Proxies are the addresses (CIDR) whose word is taken for where a request comes from.
	Proxies []string
	// Meters are told how it goes; nil: nobody is.
	Meters prometheus.Registerer
}

// New is the whole HTTP side: the API under /api, the document at
// /api/openapi.json, /healthz, and the page.
func New(f Front) (http.Handler, error) {
	d := newDesks(f)
	gin.SetMode(gin.ReleaseMode)
	r := gin.New()
	if err := r.SetTrustedProxies(f.Proxies); err != nil {
		return nil, err
	}
	r.Use(recovered(f.Log), logged(f.Log), f.measured(d), f.guarded(), whence)
	registerAll(humagin.New(r, config()), d)
	r.GET("/healthz", health(f.App))
	f.Page.serve(r)
	own, err := sameOrigin(f.PublicURL)
	if err != nil {
		return nil, err
	}
	return ours(f.PublicURL, own.Handler(d.withSession(r)))
}

// sameOrigin refuses changes that another site's page asks for.
func sameOrigin(publicURL string) (*http.CrossOriginProtection, error) {
	own := http.NewCrossOriginProtection()
	own.SetDenyHandler(http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) {
		refuse(w, http.StatusForbidden, "Another site asked for this; it was not done.")
	}))
	if publicURL == "" {
		return own, nil
	}
	return own, own.AddTrustedOrigin(publicURL)
}

// registerAll names every operation; without an app it serves to print the document.
func registerAll(h huma.API, d *desks) {
	calculations(h)
	start(routes{api: h, desks: d, tag: "page"})
	for _, resource := range []struct {
		tag string
		of  func(routes)
	}{
		{"people", signingIn}, {"people", people}, {"security", security}, {"batches", batches}, {"bench", bench}, {"stock", stocks}, {"yards", yards},
		{"colonies", colonies}, {"inspections", inspections}, {"counts", counts}, {"cards", cards}, {"decide", deciding},
		{"round", visits}, {"check", checking}, {"register", registering}, {"register", recalling}, {"register", recording}, {"archive", archiving}, {"page", streaming}, {"page", today}, {"settings", settings}, {"settings", reminders}, {"practice", practising},
	} {
		resource.of(routes{api: h, desks: d, tag: resource.tag})
	}
}

func config() huma.Config {
	huma.DefaultArrayNullable = false
	c := huma.DefaultConfig("Keeler", "1")
	c.Info.Description = "Scales varroa treatments, decides which colony needs what, and keeps the record. Names carry their units; " +
		"errors are application/problem+json and name the field in errors[].location."
	c.Formats = map[string]huma.Format{"application/json": tolerant, "json": tolerant}
	c.OpenAPIPath = "/api/openapi"
	c.SchemasPath = ""
	c.DocsPath = ""
	c.CreateHooks = nil
	c.Components = &huma.Components{Schemas: huma.NewMapRegistry("#/components/schemas/", schemaName)}
	// What counts in quarters is told as a part of one.
	c.Components.Schemas.RegisterTypeAlias(reflect.TypeFor[hive.Seam](), reflect.TypeFor[float64]())
	c.Components.SecuritySchemes = map[string]*huma.SecurityScheme{
		session: {Type: "apiKey", In: "cookie", Name: "keeler-PORT", Description: "Given by POST /api/session; over HTTPS with __Host- before its name."},
		token:   {Type: "http", Scheme: "bearer", Description: "Made by POST /api/tokens; it may do what a keeper may, and nothing of a person's own."},
	}
	return c
}

// schemaName sets the name of the method before what several have, such as a size; the
// dribble's go without.
func schemaName(t reflect.Type, hint string) string {
	name := huma.DefaultSchemaNamer(t, hint)
	if t.Kind() == reflect.Pointer {
		t = t.Elem()
	}
	for path, before := range map[string]string{"keeler/core/method/strip": "Strip", "keeler/core/method/pad": "Pad"} {
		if t.PkgPath() == path && !strings.Contains(name, before) {
			return before + name
		}
	}
	return name
}

// described is the API without an app, to be looked at.
func described() huma.API {
	gin.SetMode(gin.ReleaseMode)
	h := humagin.New(gin.New(), config())
	registerAll(h, &desks{})
	return h
}

// Document is the OpenAPI document as JSON.
func Document() ([]byte, error) { return described().OpenAPI().MarshalJSON() }

// recovered answers for what fails unforeseen. An answer that is broken off stays so:
// else half a file would look like a whole one.
func recovered(log *slog.Logger) gin.HandlerFunc {
	return func(c *gin.Context) {
		defer func() {
			switch err := recover(); err {
			case nil:
			case http.ErrAbortHandler:
				panic(err)
			default:
				log.Error("panic", "route", routeOf(c), "error", err)
				c.AbortWithStatus(http.StatusInternalServerError)
			}
		}()
		c.Next()
	}
}

func logged(log *slog.Logger) gin.HandlerFunc {
	return func(c *gin.Context) {
		begun := time.Now()
		c.Next()
		level := slog.LevelDebug // every keystroke asks for a plan
		switch status := c.Writer.Status(); {
		case status >= http.StatusInternalServerError:
			level = slog.LevelError
		case status >= http.StatusBadRequest || status == http.StatusCreated:
			level = slog.LevelInfo
		}
		if !log.Enabled(c, level) {
			return
		}
		log.Log(c, level, "request", "method", c.Request.Method, "route", routeOf(c),
			"status", c.Writer.Status(), "took", time.Since(begun))
	}
}

// guarded lets a page load nothing from elsewhere and keeps it out of frames, and what is
// private out of every cache but the page's own.
func (f Front) guarded() gin.HandlerFunc {
	page := f.Page.version()
	return func(c *gin.Context) {
		h := c.Writer.Header()
		if f.Secure {
			h.Set("Strict-Transport-Security", "max-age=31536000")
		}
		h.Set("Content-Security-Policy", "default-src 'self'; script-src 'self' 'wasm-unsafe-eval'; style-src 'self' 'unsafe-inline'; "+
			"img-src 'self' data: blob:; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'")
		h.Set("X-Content-Type-Options", "nosniff")
		h.Set("Referrer-Policy", "no-referrer")
		if strings.HasPrefix(c.Request.URL.Path, "/api/") {
			h.Set("Cache-Control", "no-store")
			h.Set("Keeler-Page", page)
		}
		c.Next()
	}
}

func health(a *app.App) gin.HandlerFunc {
	return func(c *gin.Context) {
		if err := a.Healthy(c); err != nil {
			c.JSON(http.StatusServiceUnavailable, gin.H{"status": "no database"})
			return
		}
		c.JSON(http.StatusOK, gin.H{"status": "ok"})
	}
}
