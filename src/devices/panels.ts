/** The pages of the devices that stand in for real ones: what a hand does to them. Served by their own process. */

const STYLE = `body{margin:0;background:#15171a;color:#f3efe6;font:16px/1.4 system-ui,sans-serif;padding:24px;max-width:720px}
nav{display:flex;gap:16px;margin-bottom:20px}a{color:#b9a8ff}
h1{font-size:18px;font-weight:600;color:#b9b2a4;margin:0 0 8px}
#net{font-size:88px;font-weight:700;font-variant-numeric:tabular-nums;line-height:1}
#state{color:#8fd19e;margin:4px 0 16px;min-height:1.4em}
#state.moving,#state.overload,#state.trouble{color:#ffb347}
button,input{font:inherit;padding:12px 16px;border-radius:6px;border:1px solid #4a4e55;background:#22262b;color:inherit}
button{cursor:pointer}button:hover,button:focus-visible{border-color:#b9a8ff;outline:none}
button[aria-pressed=true]{border-color:#ffb347}
.row{display:flex;gap:8px;flex-wrap:wrap;margin:8px 0}label{align-self:center;color:#b9b2a4}
#labels{display:grid;grid-template-columns:repeat(2,1fr);gap:12px;margin-top:16px}#labels img{width:100%;background:#fff}`;

const SCRIPT = `const $=(id)=>document.getElementById(id);
const send=(path,body)=>fetch(path,{method:'POST',body:JSON.stringify(body||{})}).then(async(r)=>{if(!r.ok)$('state').textContent=await r.text()});
document.querySelectorAll('[data-toggle]').forEach((b)=>b.onclick=()=>{const on=b.getAttribute('aria-pressed')!=='true';b.setAttribute('aria-pressed',on);send(b.dataset.toggle,{on})});`;

function page(title: string, body: string, script: string): string {
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>${title}</title>
<meta name="viewport" content="width=device-width, initial-scale=1"><style>${STYLE}</style></head><body>
<nav><a href="/">Bench scale</a><a href="/rail/">Rail scale</a><a href="/spice/">Seasoning scale</a><a href="/printer/">Label printer</a><a href="/probe/">Probe</a><a href="/logger/">Smokehouse logger</a></nav>
<h1>${title}</h1>${body}<script>${SCRIPT}${script}</script></body></html>`;
}

const toggle = (path: string, words: string) =>
  `<button type="button" data-toggle="${path}" aria-pressed="false">${words}</button>`;

export function scalePanel(title: string): string {
  return page(
    title,
    `<div id="net">0.00</div><div id="state">empty</div>
<form id="put" class="row"><label for="w">Put on</label>
<input id="w" inputmode="decimal" size="7" value="2.50"><button>Put on</button><button type="button" id="again">Same weight, next piece</button></form>
<div class="row">${[1.02, 2.94, 3.8, 7.33, 45].map((w) => `<button data-put="${w}">${w}</button>`).join('')}</div>
<div class="row"><button id="off">Take off</button><button id="tare">Tare</button>${toggle('shake', 'Shake')}${toggle('noise', 'Noise on the wire')}${toggle('unplug', 'Unplug')}</div>`,
    `$('put').onsubmit=(e)=>{e.preventDefault();send('place',{weight:Number($('w').value)})};
$('again').onclick=()=>send('place',{weight:Number($('w').value),again:true});
document.querySelectorAll('[data-put]').forEach((b)=>b.onclick=()=>{$('w').value=b.dataset.put;send('place',{weight:Number(b.dataset.put)})});
$('off').onclick=()=>send('place',{weight:0});$('tare').onclick=()=>send('tare');
new EventSource('readings').onmessage=(m)=>{const r=JSON.parse(m.data);$('net').textContent=r.state==='overload'?'----':((r.gross-r.tare)/1000).toFixed(r.unit==='kg'?3:2)+' '+r.unit;
$('state').textContent=r.state+(r.tare?', tare '+(r.tare/1000).toFixed(2):'');$('state').className=r.state};`,
  );
}

export function printerPanel(): string {
  return page(
    'Simulated label printer',
    `<div id="net">500</div><div id="state">ready</div>
<div class="row"><button id="roll">A new roll of 500</button><button id="few">Two labels left</button><button id="none">No labels left</button>${toggle('jam', 'Jammed')}${toggle('open', 'Open')}</div>
<div id="labels"></div>`,
    `$('roll').onclick=()=>send('roll',{left:500});$('few').onclick=()=>send('roll',{left:2});$('none').onclick=()=>send('roll',{left:0});
const words={OUT:'out of labels',JAM:'a label is jammed',OPEN:'it stands open'};let shown='';
setInterval(async()=>{const s=await (await fetch('state')).json();$('net').textContent=s.left;$('state').textContent=s.trouble?words[s.trouble]:'ready';$('state').className=s.trouble?'trouble':'';
const now=s.last.join();if(now!==shown){shown=now;$('labels').innerHTML=s.last.map((f)=>'<img alt="'+f+'" src="labels/'+f+'">').join('')}},500);`,
  );
}

export function probePanel(scale: 'C' | 'F'): string {
  return page(
    'Simulated probe thermometer',
    `<div id="net">–</div><div id="state"></div>
<form id="put" class="row"><label for="w">In meat of, °${scale}</label><input id="w" inputmode="decimal" size="7" value="38"><button>Put it in</button></form>`,
    `$('put').onsubmit=(e)=>{e.preventDefault();send('stick',{degrees:Number($('w').value)})};
setInterval(async()=>{const r=await (await fetch('state')).json();$('net').textContent=(r.tenths/10).toFixed(1)+' °'+r.scale;$('state').textContent=r.steady?'steady':'moving';$('state').className=r.steady?'':'moving'},300);`,
  );
}

const CURVE_WORDS = {
  kept: 'Keeps the plan',
  slow: 'Cools too slowly',
  cool: 'Never gets hot enough',
} as const;

export function loggerPanel(): string {
  return page(
    'Simulated logger of the smokehouse',
    `<div id="net">–</div><div id="state"></div>
<div class="row">${Object.entries(CURVE_WORDS)
      .map(([id, words]) => `<button type="button" data-curve="${id}">${words}</button>`)
      .join('')}</div>
<div class="row">${[1, 60, 600, 6000]
      .map((times) => `<button type="button" data-speed="${times}">${times} times as fast</button>`)
      .join('')}${toggle('silent', 'Silent')}</div>`,
    `document.querySelectorAll('[data-curve]').forEach((b)=>b.onclick=()=>send('curve',{curve:b.dataset.curve}));
document.querySelectorAll('[data-speed]').forEach((b)=>b.onclick=()=>send('speed',{speed:Number(b.dataset.speed)}));
setInterval(async()=>{const s=await (await fetch('state')).json();$('net').textContent=s.degrees===null?'–':s.degrees.toFixed(1)+' °F';
$('state').textContent=(s.minute===null?'no load lit yet':'minute '+s.minute)+', '+s.curve+', '+s.speed+' times'+(s.silent?', silent':'');
for(const b of document.querySelectorAll('[data-curve]'))b.setAttribute('aria-pressed',b.dataset.curve===s.curve);
for(const b of document.querySelectorAll('[data-speed]'))b.setAttribute('aria-pressed',Number(b.dataset.speed)===s.speed)},500);`,
  );
}
