package forecast

import (
	"net"
	"net/http"
	"net/netip"
	"sync"
	"syscall"
	"time"

	"keeler/app"
)

// Outside gives a client for each address that an operation sets. An operation's owner need not
// be whom the server belongs to: what lies within the server's own network is not asked, unless
// inside says so.
func Outside(now func() time.Time, inside bool) func(address string) app.Weather {
	transport := http.DefaultTransport.(*http.Transport).Clone()
	if !inside {
		transport.Proxy = nil
		transport.DialContext = (&net.Dialer{Timeout: patience, Control: outsideOnly}).DialContext
	}
	var mu sync.Mutex
	clients := map[string]*Client{}
	return func(address string) app.Weather {
		mu.Lock()
		defer mu.Unlock()
		if clients[address] == nil {
			if len(clients) >= mostKept {
				clear(clients)
			}
			clients[address] = New(address, now)
			clients[address].http.Transport = transport
		}
		return clients[address]
	}
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
