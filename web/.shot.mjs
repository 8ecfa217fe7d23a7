import { chromium } from '@playwright/test';
const [url, file, ...clicks] = process.argv.slice(2);
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const p = await b.newPage({ viewport: { width: 1280, height: Number(process.env.H || 800) }, colorScheme: process.env.DARK ? 'dark' : 'light' });
p.on('pageerror', (e) => console.log('ERR', e.message)); p.on('console', (m) => m.type() === 'error' && console.log('CON', m.text()));
await p.goto('http://127.0.0.1:' + (process.env.PORT || 8090) + url); await p.waitForTimeout(1200);
for (const c of clicks) { if (c.startsWith('key:')) await p.keyboard.press(c.slice(4)); else if (c.startsWith('scroll:')) await p.locator(c.slice(7)).first().scrollIntoViewIfNeeded(); else await p.locator(c).first().click(); await p.waitForTimeout(500); }
await p.screenshot({ path: file }); await b.close();
