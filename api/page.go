package api

import (
	"errors"
	"io/fs"
	"net/http"
	"regexp"
	"strings"

	"github.com/gin-gonic/gin"
)

// forever is how long a file is kept whose name changes with its content.
const forever = "public, max-age=31536000, immutable"

// assets is where the files lie whose names change with their content.
const assets = "/assets/"

// Page is the built interface.
type Page struct{ Files fs.FS }

// script is what a page begins with; its name changes with its content.
var script = regexp.MustCompile(`<script type="module"[^>]* src="/assets/([^"]+)"`)

// version names the page, so that one that was loaded before an upgrade knows itself to
// be old; empty where none is built.
func (p Page) version() string {
	html, _ := fs.ReadFile(p.Files, "index.html")
	if found := script.FindSubmatch(html); found != nil {
		return string(found[1])
	}
	return ""
}

// serve gives files by their path and the page itself for every other address,
// so that an address inside the page can be reloaded.
func (p Page) serve(r *gin.Engine) {
	files := http.FS(p.Files)
	r.NoRoute(func(c *gin.Context) {
		path := c.Request.URL.Path
		if strings.HasPrefix(path, "/api/") {
			c.Header("Content-Type", "application/problem+json")
			c.JSON(http.StatusNotFound, gin.H{"status": http.StatusNotFound, "title": "Not Found", "detail": "There is nothing at " + path})
			return
		}
		if _, err := fs.Stat(p.Files, strings.TrimPrefix(path, "/")); path == "/" || err != nil {
			if strings.HasPrefix(path, assets) { // of a page before an upgrade
				c.String(http.StatusNotFound, "This file is of another version of Keeler.")
				return
			}
			p.index(c)
			return
		}
		if strings.HasSuffix(path, ".wasm") && strings.Contains(c.GetHeader("Accept-Encoding"), "gzip") {
			// Four megabytes are one on the way; a phone in the yard loads them once.
			c.Header("Content-Type", "application/wasm")
			c.Header("Content-Encoding", "gzip")
			c.Header("Cache-Control", forever)
			c.FileFromFS(path+".gz", files)
			return
		}
		if strings.HasPrefix(path, assets) { // their names change with their content
			c.Header("Cache-Control", forever)
		}
		c.FileFromFS(path, files)
	})
}

func (p Page) index(c *gin.Context) {
	html, err := fs.ReadFile(p.Files, "index.html")
	if errors.Is(err, fs.ErrNotExist) {
		c.String(http.StatusServiceUnavailable, "The interface is not built: run make build.")
		return
	}
	c.Header("Cache-Control", "no-cache")
	c.Data(http.StatusOK, "text/html; charset=utf-8", html)
}
