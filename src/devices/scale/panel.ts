/** The page of the simulated scale: a hand that puts weights on. Served by the scale's own process. */
export const PANEL = `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>%TITLE%</title>
<meta name="viewport" content="width=device-width, initial-scale=1"><style>
body{margin:0;background:#15171a;color:#f3efe6;font:16px/1.4 system-ui,sans-serif;padding:24px;max-width:560px}
h1{font-size:18px;font-weight:600;color:#b9b2a4;margin:0 0 8px}
#net{font-size:88px;font-weight:700;font-variant-numeric:tabular-nums;line-height:1}
#state{color:#8fd19e;margin-bottom:16px;min-height:1.4em}
#state.moving,#state.overload{color:#ffb347}
button,input{font:inherit;padding:12px 16px;border-radius:6px;border:1px solid #4a4e55;background:#22262b;color:inherit}
button{cursor:pointer}button:hover,button:focus-visible{border-color:#b9a8ff;outline:none}
.row{display:flex;gap:8px;flex-wrap:wrap;margin:8px 0}label{display:block;margin-top:12px;color:#b9b2a4}
input[type=range]{width:100%;padding:0}</style></head><body>
<h1>%TITLE%</h1><div id="net">0.00</div><div id="state">empty</div>
<form id="put" class="row"><label for="w" style="margin:0;align-self:center">Put on</label>
<input id="w" inputmode="decimal" size="7" value="2.50"><button>Put on</button><button type="button" id="again">Same weight, next piece</button></form>
<div class="row"><button data-put="1.02">1.02</button><button data-put="2.94">2.94</button><button data-put="3.80">3.80</button><button data-put="7.33">7.33</button><button data-put="45">45 (too much)</button></div>
<div class="row"><button id="off">Take off</button><button id="shake">Shake</button><button id="tare">Tare</button></div>
<script>
const $=(id)=>document.getElementById(id);let shaking=false;
const send=(path,body)=>fetch(path,{method:'POST',body:body===undefined?'':JSON.stringify(body)}).then(async(r)=>{if(!r.ok)$('state').textContent=await r.text()});
$('put').onsubmit=(e)=>{e.preventDefault();send('place',{weight:Number($('w').value)})};
$('again').onclick=()=>send('place',{weight:Number($('w').value),again:true});
document.querySelectorAll('[data-put]').forEach((b)=>b.onclick=()=>{$('w').value=b.dataset.put;send('place',{weight:Number(b.dataset.put)})});
$('off').onclick=()=>send('place',{weight:0});
$('shake').onclick=()=>{shaking=!shaking;$('shake').textContent=shaking?'Hold still':'Shake';send('shake',{shaking})};
$('tare').onclick=()=>send('tare');
new EventSource('readings').onmessage=(m)=>{const r=JSON.parse(m.data);$('net').textContent=r.state==='overload'?'----':(r.net/1000).toFixed(r.unit==='kg'?3:2)+' '+r.unit;
$('state').textContent=r.state+(r.tare?', tare '+(r.tare/1000).toFixed(2):'');$('state').className=r.state};
</script></body></html>`;
