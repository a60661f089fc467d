package forecast

import (
	"net/http"
	"sync"
	"time"

	"keeler/app"
)

// Of gives a client for each address that an operation sets; they all ask by one HTTP client.
func Of(by *http.Client, now func() time.Time) func(address string) app.Weather {
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
			clients[address].http = by
		}
		return clients[address]
	}
}
