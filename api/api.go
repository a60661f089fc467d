// Package api is Keeler over HTTP. It holds no rule: each operation hands its
// request to app or wire and turns what comes back into an answer or a problem.
package api

import (
	"log/slog"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/adapters/humagin"
	"github.com/gin-gonic/gin"

	"keeler/app"
)

// New is the whole HTTP side: the API under /api, the document at
// /api/openapi.json, /healthz, and the page.
func New(a *app.App, page Page, log *slog.Logger) *gin.Engine {
	gin.SetMode(gin.ReleaseMode)
	r := gin.New()
	r.Use(gin.CustomRecoveryWithWriter(nil, func(c *gin.Context, err any) {
		log.Error("panic", "path", c.Request.URL.Path, "error", err)
		c.AbortWithStatus(http.StatusInternalServerError)
	}), logged(log), guarded)
	Describe(humagin.New(r, config()), a, log)
	r.GET("/healthz", health(a))
	page.serve(r)
	return r
}

// Describe registers every operation; with a nil app it serves to print the document.
func Describe(h huma.API, a *app.App, log *slog.Logger) {
	calculations(h)
	batches(h, a, log)
	start(h, a)
}

func config() huma.Config {
	huma.DefaultArrayNullable = false
	c := huma.DefaultConfig("Keeler", "1")
	c.Info.Description = "Scales varroa treatments and keeps the batches. Names carry their units; " +
		"errors are application/problem+json and name the field in errors[].location."
	c.OpenAPIPath = "/api/openapi"
	c.SchemasPath = ""
	c.DocsPath = ""
	c.CreateHooks = nil
	return c
}

// Document is the OpenAPI document as JSON.
func Document() ([]byte, error) {
	gin.SetMode(gin.ReleaseMode)
	h := humagin.New(gin.New(), config())
	Describe(h, nil, slog.New(slog.DiscardHandler))
	return h.OpenAPI().MarshalJSON()
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
		log.Log(c, level, "request", "method", c.Request.Method, "path", c.Request.URL.Path,
			"status", c.Writer.Status(), "took", time.Since(begun))
	}
}

// guarded lets a page load nothing from elsewhere and keeps it out of frames.
func guarded(c *gin.Context) {
	h := c.Writer.Header()
	h.Set("Content-Security-Policy", "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; frame-ancestors 'none'")
	h.Set("X-Content-Type-Options", "nosniff")
	h.Set("Referrer-Policy", "no-referrer")
	c.Next()
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
