package api

import (
	"context"
	"net"
	"net/http"
	"net/netip"
	"net/url"
	"os"
	"strconv"
	"strings"

	"github.com/gin-gonic/gin"
	"github.com/mileusna/useragent"
)

// ours refuses what is asked of a name that is not this machine's nor the public one: a
// page elsewhere cannot have its own name lead here. An address is always one's own.
func ours(publicURL string, next http.Handler) (http.Handler, error) {
	name, err := os.Hostname()
	if err != nil {
		return nil, err
	}
	public, err := url.Parse(publicURL)
	if err != nil {
		return nil, err
	}
	known := map[string]bool{"localhost": true}
	for _, n := range []string{name, name + ".local", public.Hostname()} {
		known[strings.ToLower(n)] = n != ""
	}
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		host := r.Host
		if bare, _, err := net.SplitHostPort(host); err == nil {
			host = bare
		}
		if _, err := netip.ParseAddr(strings.Trim(host, "[]")); err != nil && !known[strings.ToLower(host)] {
			refuse(w, http.StatusMisdirectedRequest, "Keeler is not known by this name here: --public-url sets it.")
			return
		}
		if r.ContentLength > wideBody && !strings.HasPrefix(r.URL.Path, "/api/import/") { // none of it is read
			refuse(w, http.StatusRequestEntityTooLarge, "This is more than is taken at once.")
			return
		}
		next.ServeHTTP(w, r)
	}), nil
}

// refuse answers with a problem before there is anything to answer it.
func refuse(w http.ResponseWriter, status int, detail string) {
	w.Header().Set("Content-Type", "application/problem+json")
	w.WriteHeader(status)
	_, _ = w.Write([]byte(`{"status":` + strconv.Itoa(status) + `,"title":"` + http.StatusText(status) + `","detail":"` + detail + `"}`))
}

type addressKey struct{}

type deviceKey struct{}

// whence notes where a request comes from, and from what.
func whence(c *gin.Context) {
	ctx := context.WithValue(c.Request.Context(), addressKey{}, network(c.ClientIP()))
	ctx = context.WithValue(ctx, deviceKey{}, device(c.Request.UserAgent()))
	c.Request = c.Request.WithContext(ctx)
	c.Next()
}

// device names browser and system, by what the browser says.
func device(agent string) string {
	const most = 120
	is := useragent.Parse(agent)
	name := strings.TrimSpace(is.Name)
	if is.OS != "" {
		name += " on " + is.OS
	}
	if len(name) > most {
		name = strings.ToValidUTF8(name[:most], "")
	}
	return name
}

// network is an address as tries are counted by: of IPv6 the part that one household has,
// which can take any address in it.
func network(address string) string {
	const household = 64
	ip, err := netip.ParseAddr(address)
	if err != nil {
		return address
	}
	if ip = ip.Unmap(); ip.Is4() {
		return ip.String()
	}
	part, err := ip.WithZone("").Prefix(household)
	if err != nil {
		return address
	}
	return part.String()
}

func cameFrom(ctx context.Context) string {
	from, _ := ctx.Value(addressKey{}).(string)
	return from
}
