package mites

import "math"

const (
	tail = 0.025 // each side of a 95 % interval
	z    = 1.959963984540054
)

// poisson is Garwood's exact interval for the mean behind a count: the quantiles
// of the gamma distributions with shapes n and n + 1.
func poisson(n float64) (low, high float64) {
	if n > 0 {
		low = gammaQuantile(n, tail)
	}
	return low, gammaQuantile(n+1, 1-tail)
}

// wilson is Wilson's score interval for a share, 0 to 1.
func wilson(hits, n float64) (low, high float64) {
	p := hits / n
	middle := p + z*z/(2*n)
	half := z * math.Sqrt(p*(1-p)/n+z*z/(4*n*n))
	return max(0, (middle-half)/(1+z*z/n)), min(1, (middle+half)/(1+z*z/n))
}

// gammaQuantile finds x with P(shape, x) = p by halving.
func gammaQuantile(shape, p float64) float64 {
	low, high := 0.0, shape+10*math.Sqrt(shape)+10
	for range 60 {
		middle := (low + high) / 2
		if gammaP(shape, middle) < p {
			low = middle
		} else {
			high = middle
		}
	}
	return (low + high) / 2
}

// gammaP is the regularised lower incomplete gamma function: its series below
// shape + 1, the continued fraction of its complement above.
func gammaP(shape, x float64) float64 {
	if x <= 0 {
		return 0
	}
	logGamma, _ := math.Lgamma(shape)
	front := math.Exp(shape*math.Log(x) - x - logGamma)
	const terms, enough = 10_000, 1e-15
	if x < shape+1 {
		term := 1 / shape
		sum := term
		for k := 1.0; k < terms && term > sum*enough; k++ {
			term *= x / (shape + k)
			sum += term
		}
		return front * sum
	}
	const tiny = 1e-300
	b := x + 1 - shape
	c, d := 1/tiny, 1/b
	h := d
	for k := 1.0; k < terms; k++ {
		a := -k * (k - shape)
		b += 2
		d = 1 / nonzero(a*d+b, tiny)
		c = nonzero(b+a/c, tiny)
		step := c * d
		h *= step
		if math.Abs(step-1) < enough {
			break
		}
	}
	return 1 - front*h
}

func nonzero(v, tiny float64) float64 {
	if math.Abs(v) < tiny {
		return tiny
	}
	return v
}
