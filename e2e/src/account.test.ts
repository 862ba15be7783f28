import { demoPassword } from '@unity-acre/demo';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { Demo } from './demo.ts';
import { speech } from './hand.ts';

const w = speech.en;
const { account } = w;

let demo: Demo;
beforeAll(async () => {
  demo = await Demo.open();
}, 120_000);
afterAll(() => demo.close());

it('changes one’s password, gets in by a coordinator’s link when it is forgotten, and says where one is signed in', async () => {
  const volunteer = await demo.signedIn('volunteer', {}, 'phone');
  const { hand } = volunteer;
  await hand.open('/account');
  await hand.reads(account.devices.here);
  await hand.write(account.current, demoPassword);
  await hand.write(account.password.next, 'password2026');
  await hand.press(account.password.go);
  await hand.reads(w.fields.commonPassword);
  await hand.write(account.password.next, 'seven ladders in a row');
  await hand.press(account.password.go);
  await hand.reads(account.password.saved);

  const coordinator = await demo.signedIn();
  await coordinator.hand.open('/crew');
  await coordinator.hand.press(w.crew.edit.replace('{{name}}', 'Nadia Brightwater'));
  await coordinator.hand.press(account.leaving.link);
  await coordinator.hand.reads(account.leaving.linkHint);
  const name = account.leaving.linkFor.replace('{{name}}', 'Nadia Brightwater');
  const link = await coordinator.page.$eval(
    `input[aria-label="${name}"]`,
    (input) => (input as HTMLInputElement).value,
  );

  const forgetful = await demo.visitor();
  await forgetful.hand.open('/sign-in');
  await forgetful.hand.follow(w.crew.signIn.forgot);
  await forgetful.hand.reads(account.forgot.lead);
  await forgetful.hand.write(w.crew.email, 'volunteer@millrace.example');
  await forgetful.hand.press(account.forgot.go);
  await forgetful.hand.reads(account.forgot.sent.replace('{{email}}', 'volunteer@millrace.example'));
  // The letter ended the coordinator's link; a new one is handed over.
  await forgetful.hand.open(new URL(link).pathname);
  await forgetful.hand.reads(account.link.over);
  await coordinator.hand.press(account.leaving.link);
  const found = await coordinator.page.waitForFunction(
    (selector, before) => {
      const value = (document.querySelector(selector) as HTMLInputElement | null)?.value;
      return value && value !== before ? value : null;
    },
    {},
    `input[aria-label="${name}"]`,
    link,
  );
  const next = String(await found.jsonValue());
  await forgetful.hand.open(new URL(next).pathname);
  await forgetful.hand.write(account.password.next, 'another seven ladders');
  await forgetful.hand.press(account.link.go);
  await forgetful.hand.reads('Nadia Brightwater');
  // The phone was signed out with it.
  await hand.open('/account');
  await hand.reads(w.crew.signIn.help);
  expect([...coordinator.troubles]).toEqual([]);
});

it('lets somebody leave the garden, and erases who they were', async () => {
  const { hand, troubles } = await demo.signedIn();
  const change = w.crew.edit.replace('{{name}}', 'Casper Fennimore');
  await hand.open('/crew');
  await hand.press(change);
  await hand.press(account.leaving.go);
  await hand.reads(account.leaving.left.replace('{{name}}', 'Casper Fennimore'));
  await hand.reads(w.crew.left);
  await hand.press(change);
  await hand.press(account.leaving.erase);
  await hand.press(account.leaving.eraseSure);
  await hand.reads(account.leaving.erased);
  await hand.open('/crew');
  await hand.readsNot('Casper Fennimore');
  expect(troubles).toEqual([]);
});
