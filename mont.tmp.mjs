import { chromium } from '@playwright/test';import fs from 'node:fs';
const [out,...files]=process.argv.slice(2);
const b=await chromium.launch({executablePath:'/usr/bin/chromium-headless-shell',args:['--no-sandbox']});const p=await b.newPage({viewport:{width:1600,height:880}});
await p.setContent('<body style="margin:0;display:flex;gap:6px;background:#444">'+files.map(f=>`<img style="height:844px;max-width:${Math.floor(1590/files.length)}px;object-fit:contain;object-position:top" src="data:image/png;base64,${fs.readFileSync(f).toString('base64')}">`).join('')+'</body>');
await p.screenshot({path:out});await b.close();
