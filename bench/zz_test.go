package main
import ("testing";"context";"encoding/json";"keeler/e2e/stand";"keeler/demo")
func TestProf(t *testing.T){ k,err:=stand.Up(context.Background(),t.TempDir(),true); if err!=nil{t.Fatal(err)}; defer k.Down(); body,_:=json.Marshal(demo.Welcome().Draft); t.Log(len(body)); for range 6 { d,err:=load(k.URL+"/api/plan",body); t.Log(d,err)} }
