import { chromium } from '@playwright/test';
const shots = JSON.parse(process.argv[2]);
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
for (const s of shots) {
  const c = await b.newContext({
    viewport: { width: s.w ?? 1280, height: s.h ?? 800 },
    colorScheme: s.dark ? 'dark' : 'light',
  });
  const p = await c.newPage();
  p.on('pageerror', (e) => console.log('PAGEERROR', e.message));
  await p.goto('http://127.0.0.1:4711' + s.url);
  await p.waitForTimeout(1200);
  const who = p.getByRole('button', { name: 'Ines Valdur' }).first();
  if (await who.count()) {
    await who.click();
    await p.waitForTimeout(400);
    await p.goto('http://127.0.0.1:4711' + s.url);
  }
  await p.waitForTimeout(s.wait ?? 1800);
  for (const step of s.do ?? []) {
    await eval('(async()=>{' + step + '})()');
    await p.waitForTimeout(400);
  }
  await p.screenshot({ path: s.out, fullPage: !!s.full });
  await c.close();
}
await b.close();
