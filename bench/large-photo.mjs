/**
 * A photo of 50 MP taken in, in the browser: what its processes take beyond what they took before, at the most.
 */
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromium } from '@playwright/test';
import sharp from 'sharp';
import { CHROMIUM_ARGS, served } from './served.mjs';

export const LIMITS = { bytes: 400e6 };

const SIZE = { width: 8660, height: 5774 };
const ASK_MS = 50;

/** Bytes in memory of all processes of a program; what several share is counted once (Pss). */
function residentBytes(program) {
  let sum = 0;
  for (const pid of readdirSync('/proc').filter((name) => /^\d+$/.test(name)))
    try {
      if (!readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(program)) continue;
      const text = readFileSync(`/proc/${pid}/smaps_rollup`, 'utf8');
      sum += Number(/^Pss:\s+(\d+)/m.exec(text)?.[1] ?? 0) * 1024;
    } catch {
      // It ended while it was asked.
    }
  return sum;
}

export async function measureLargePhoto(root, { executablePath, port = 4393 }) {
  const file = await sharp({
    create: {
      ...SIZE,
      channels: 3,
      background: '#888',
      noise: { type: 'gaussian', mean: 128, sigma: 20 },
    },
  })
    .jpeg({ quality: 90 })
    .toBuffer();
  sharp.cache(false);
  const folder = mkdtempSync(path.join(tmpdir(), 'large-photo-'));
  const photo = path.join(folder, 'large.jpg');
  writeFileSync(photo, file);
  const app = await served(root, port);
  const browser = await chromium.launch({ executablePath, args: CHROMIUM_ARGS });
  try {
    const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
    await page.goto(`http://localhost:${port}/paintings`);
    await page
      .getByText(/Quinces on Slate/)
      .first()
      .click();
    await page.waitForURL(/paintings\/.+/);
    await page.goto(`${page.url().split('?')[0]}/look`);
    await page.getByRole('button', { name: 'Another picture' }).click();
    await page.getByRole('radio', { name: 'the picture as it stands' }).click();
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'From a file' }).click();
    const chosen = await chooser;
    await page.waitForTimeout(3000);
    const program = path.basename(executablePath);
    const before = residentBytes(program);
    let most = before;
    const asked = setInterval(() => (most = Math.max(most, residentBytes(program))), ASK_MS);
    const from = performance.now();
    await chosen.setFiles(photo);
    await page
      .getByRole('heading', { name: 'Where are its corners?' })
      .waitFor({ timeout: 60_000 });
    const ms = performance.now() - from;
    await page.getByText(/^(Nothing stands out|Its sides were found)/).waitFor({ timeout: 60_000 });
    clearInterval(asked);
    return { beforeBytes: before, moreBytes: most - before, ms, fileBytes: file.length };
  } finally {
    await browser.close();
    app.kill();
    rmSync(folder, { recursive: true });
  }
}
