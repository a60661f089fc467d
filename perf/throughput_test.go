package perf

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"io"
	"net"
	"net/http"
	"sync"
	"time"

	"github.com/gin-gonic/gin"

	"keeler/demo"
	"keeler/e2e/stand"
	"keeler/wire"
)

const (
	hands       = 4
	requests    = 1500 // a round
	rounds      = 6    // each server in turn
	atLeast     = 0.6
	readTimeout = time.Minute
)

// throughput compares the plan operation with a bare Gin handler that decodes
// the same request and encodes the same answer with the standard library. Both
// run on loopback and are loaded in turn by the same generator.
func throughput() ([]figure, error) {
	keeler, err := stand.Measured(context.Background(), true)
	if err != nil {
		return nil, err
	}
	defer func() { _ = keeler.Down() }()
	bare, err := bareGin()
	if err != nil {
		return nil, err
	}
	body, err := json.Marshal(demo.Welcome().Draft.Dribble)
	if err != nil {
		return nil, err
	}

	var ours, theirs time.Duration
	for round := range rounds + 1 {
		a, err := load(keeler.URL+"/api/dribble/plan", body)
		if err != nil {
			return nil, err
		}
		b, err := load(bare+"/api/dribble/plan", body)
		if err != nil {
			return nil, err
		}
		if round > 0 { // the first warms both up
			ours, theirs = ours+a, theirs+b
		}
	}
	ratio := float64(theirs) / float64(ours)
	return []figure{{
		name:  "plan over HTTP, throughput to bare Gin's",
		value: fmt.Sprintf("%.2f", ratio), limit: fmt.Sprintf("at least %.1f", atLeast), kept: ratio >= atLeast,
	}}, nil
}

func bareGin() (string, error) {
	answer, err := wire.PlanDribble(*demo.Welcome().Draft.Dribble)
	if err != nil {
		return "", err
	}
	gin.SetMode(gin.ReleaseMode)
	r := gin.New()
	r.POST("/api/dribble/plan", func(c *gin.Context) {
		var in wire.DribbleRequest
		if err := json.NewDecoder(c.Request.Body).Decode(&in); err != nil {
			c.Status(http.StatusBadRequest)
			return
		}
		out, err := json.Marshal(answer)
		if err != nil {
			c.Status(http.StatusInternalServerError)
			return
		}
		c.Data(http.StatusOK, "application/json", out)
	})
	listener, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		return "", err
	}
	server := &http.Server{Handler: r, ReadHeaderTimeout: readTimeout}
	go func() { _ = server.Serve(listener) }()
	return "http://" + listener.Addr().String(), nil
}

// load sends a round of requests from several hands and gives the time it took.
func load(url string, body []byte) (time.Duration, error) {
	client := &http.Client{Transport: &http.Transport{MaxIdleConnsPerHost: hands}}
	defer client.CloseIdleConnections()
	failed := make(chan error, hands)
	var all sync.WaitGroup
	begun := time.Now()
	for range hands {
		all.Go(func() {
			for range requests / hands {
				if err := post(client, url, body); err != nil {
					failed <- err
					return
				}
			}
		})
	}
	all.Wait()
	took := time.Since(begun)
	select {
	case err := <-failed:
		return 0, err
	default:
		return took, nil
	}
}

func post(client *http.Client, url string, body []byte) error {
	response, err := client.Post(url, "application/json", bytes.NewReader(body))
	if err != nil {
		return err
	}
	defer func() { _ = response.Body.Close() }()
	if _, err := io.Copy(io.Discard, response.Body); err != nil {
		return err
	}
	if response.StatusCode != http.StatusOK {
		return fmt.Errorf("%s answered %s", url, response.Status)
	}
	return nil
}
