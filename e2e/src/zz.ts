import { Demo } from './demo.ts';
import { speech } from './hand.ts';
const w = speech.en;
const demo = await Demo.open();
try {
  const { page, hand } = await demo.signedIn();
  await hand.open('/sessions/rota');
  await hand.press(w.rota.make);
  await hand.reads(w.rota.apply);
  await hand.click(`::-p-text(${w.rota.hold.toggle})`);
  await page.waitForSelector('main li button');
  const buttons = await page.$$('main li button');
  await buttons[0]!.click();
  await buttons[3]!.click();
  await page.evaluate(() => scrollTo(0, 250));
  await page.screenshot({ path: '/tmp/shots/rota.png' });
  await hand.open('/sessions/hours');
  await page.waitForNetworkIdle({ concurrency: 2 });
  await page.screenshot({ path: '/tmp/shots/hours.png' });
  await page.click('tbody td button');
  await page.waitForSelector('[role=dialog]');
  await page.screenshot({ path: '/tmp/shots/visits.png' });
  await hand.open('/sessions/hours');
  await hand.press(w.day.hours.log);
  await page.waitForSelector('[role=dialog]');
  await hand.press(w.kit.save);
  await new Promise((r) => setTimeout(r, 500));
  await page.screenshot({ path: '/tmp/shots/log.png' });
  await hand.open('/crew/rules');
  await page.waitForNetworkIdle({ concurrency: 2 });
  await page.screenshot({ path: '/tmp/shots/rules.png' });
} finally {
  await demo.close();
}
process.exit(0);
