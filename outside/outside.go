// Package outside asks services that others name: the owner of an operation, or a browser. Who
// names one need not be whom the server belongs to, so what lies within the server's own network
// is not asked.
package outside

import (
	"net"
	"net/http"
	"net/netip"
	"syscall"
	"time"

	"keeler/app"
)

// Client is one that is patient for so long; inside lets it ask within the server's own network,
// too, for stand-ins.
func Client(patience time.Duration, inside bool) *http.Client {
	transport := http.DefaultTransport.(*http.Transport).Clone()
	if !inside {
		transport.Proxy = nil
		transport.DialContext = (&net.Dialer{Timeout: patience, Control: outsideOnly}).DialContext
	}
	return &http.Client{Timeout: patience, Transport: transport}
}

// outsideOnly looks at the very address that is dialled: a name can lead anywhere.
func outsideOnly(_, address string, _ syscall.RawConn) error {
	at, err := netip.ParseAddrPort(address)
	if err != nil {
		return err
	}
	if ip := at.Addr().Unmap(); !ip.IsGlobalUnicast() || ip.IsPrivate() {
		return app.ErrInside
	}
	return nil
}
