import { Demo } from './demo.ts';
const demo = await Demo.open();
try {
  const { page, hand } = await demo.signedIn('coordinator', { theme: 'light' }, 'desk');
  page.on('pageerror', (e) => console.log('E', e));
  await hand.open('/sessions/frost');
  await page.screenshot({ path: '/tmp/shots/frost.png', fullPage: true });
  await hand.open('/sessions/care');
  await page.screenshot({ path: '/tmp/shots/care.png' });
  await hand.open('/sessions/day');
  await page.screenshot({ path: '/tmp/shots/day.png' });
  await hand.open('/sessions/messages');
  await hand.press('Write them');
  await hand.reads('Reminders written');
  await page.screenshot({ path: '/tmp/shots/messages.png' });
} finally { await demo.close(); process.exit(0); }
