import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';
const server = spawn(process.execPath, ['--import','tsx','server/index.ts','--demo'],{env:{...process.env,PORT:'4298'},stdio:['ignore','pipe','inherit']});
await new Promise(r=>server.stdout.once('data',r));
const b = await chromium.launch({executablePath:'/usr/bin/chromium-headless-shell',args:['--no-sandbox','--disable-gpu']});
const shots=process.argv.slice(2);
for(const [w,h,n] of [[390,844,'p'],[1280,800,'w']]){const ctx=await b.newContext({viewport:{width:w,height:h}});const p=await ctx.newPage();p.on('pageerror',e=>console.log('ERR',e.message));p.on('console',m=>m.type()==='error'&&console.log(m.text()));
await p.goto('http://127.0.0.1:4298/');await p.waitForSelector('[role="region"] a',{timeout:30000});await p.waitForTimeout(1500);
for(const s of shots){const [path,...acts]=s.split('@');await p.goto('http://127.0.0.1:4298'+path);await p.waitForTimeout(1800);for(const a of acts){await p.getByRole('button',{name:a}).first().click();await p.waitForTimeout(700)}
await p.screenshot({path:`/tmp/e/${n}-${path.replace(/\W+/g,'-')}.png`})}}
await b.close();server.kill('SIGINT');
