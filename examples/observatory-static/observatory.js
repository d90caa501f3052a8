/* What the pages know besides their site file: names of records, badges, and whether the visitor has signed in. */
import { drawIcon } from './icons.js';
import { badges, records } from './records.js';

const site = document.querySelector('trail-site');
const key = 'observatory-signed-in';

site.records = records;
site.badges = badges;
for (const menu of document.querySelectorAll('trail-tabs[menu], trail-sidebar')) menu.icon = drawIcon;

function signedIn() {
  try {
    return localStorage.getItem(key) === 'yes';
  } catch {
    return false; // Storage is refused: every visit begins signed out.
  }
}

site.audience = signedIn() ? ['ringer'] : [];
site.addEventListener('trail-action', ({ detail }) => {
  const isIn = detail.action === 'sign-in';
  site.audience = isIn ? ['ringer'] : [];
  try {
    localStorage.setItem(key, isIn ? 'yes' : 'no');
  } catch {
    // Then it lasts until the page is left.
  }
});
