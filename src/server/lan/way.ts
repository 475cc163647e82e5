import type { RequestListener } from 'node:http';
import QRCode from 'qrcode';
import type { ServerCertificate } from './authority';
import type { HouseNames } from './names';

/** What somebody who comes in plain HTTP from the home network is answered. */
export interface WayFacts {
  names: HouseNames;
  port: number;
  certificate: () => ServerCertificate;
}

/** The house over TLS, by its first address. */
export const houseAddress = ({ names, port }: Pick<WayFacts, 'names' | 'port'>): string =>
  `https://${names.addresses[0] ?? names.name}:${port}`;
export const trustAddress = ({ names, port }: Pick<WayFacts, 'names' | 'port'>): string =>
  `http://${names.addresses[0] ?? names.name}:${port}/trust`;

/**
 * In plain HTTP there are two things, the authority and how to trust it; everything else is answered with the same address
 * over TLS. Nothing of the house is told.
 */
export function theWay(facts: WayFacts): RequestListener {
  return (request, response) => {
    const place = new URL(request.url ?? '/', 'http://house').pathname;
    if (place === '/burrow-authority.crt') {
      response.writeHead(200, {
        'Content-Type': 'application/x-x509-ca-cert',
        'Content-Disposition': 'attachment; filename="burrow-authority.crt"',
      });
      return response.end(facts.certificate().authority);
    }
    if (place === '/trust') {
      trustPage(facts).then(
        (page) => {
          response.writeHead(200, {
            'Content-Type': 'text/html; charset=utf-8',
            'Content-Security-Policy': "default-src 'none'; style-src 'unsafe-inline'; img-src data:",
            'Cache-Control': 'no-store',
          });
          response.end(page);
        },
        () => response.writeHead(500).end(),
      );
      return;
    }
    const host = (request.headers.host ?? '').replace(/:\d+$/, '').toLowerCase();
    // A name that is not of this house is not sent anywhere.
    if (!facts.names.all.includes(host)) return response.writeHead(421).end('This house has another name.\n');
    response.writeHead(308, { Location: `https://${host}:${facts.port}${request.url ?? '/'}` }).end();
  };
}

/** How a phone comes to trust the authority of this house, in the words of its settings. */
export async function trustPage(facts: WayFacts): Promise<string> {
  const { fingerprint } = facts.certificate();
  const house = houseAddress(facts);
  const qr = await QRCode.toDataURL(trustAddress(facts), {
    margin: 1,
    width: 220,
    color: { dark: '#1c2a22', light: '#f6f2e6' },
  });
  // Eight pairs a line: as long as a narrow phone shows in one.
  const lines = fingerprint.match(/.{1,24}/g) ?? [];
  return `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>Trust this house</title><style>
body{margin:0;background:#f6f2e6;color:#1c2a22;font:18px/1.5 system-ui,sans-serif}
main{max-width:34rem;margin:0 auto;padding:1.2rem}
h1{font:700 1.7rem/1.2 Georgia,serif;margin:.4rem 0}h2{font:700 1.15rem Georgia,serif;margin:1.6rem 0 .3rem}
ol{padding-left:1.3rem}li{margin:.35rem 0}code{font-size:.82rem;word-break:break-all;display:block;background:#e9e2cd;padding:.6rem;border-radius:.4rem}
a.act{display:block;text-align:center;background:#2c5a42;color:#fff;text-decoration:none;font-weight:700;padding:.9rem;border-radius:.6rem;margin:.8rem 0}
a.act.second{background:none;color:#1c2a22;border:2px solid #2c5a42}.soft{color:#4d5a50}img{display:block;margin:.6rem 0;max-width:100%}
@media(prefers-color-scheme:dark){body{background:#151b17;color:#ece6d4}code{background:#232b26}a.act.second{color:#ece6d4}.soft{color:#b3bbb0}}
</style><main>
<h1>Trust this house</h1>
<p>The pages of this house come over a line that nobody listens in on. So that your phone believes that it is this house, it has to
trust the house’s own authority, once. The camera and the walk without network work from then on.</p>
<a class="act" href="/burrow-authority.crt">1. Load the authority</a>
<p>Compare before you trust it: the terminal of the server shows the same fingerprint (SHA-256).</p>
<code>${lines.join('<br>')}</code>
<p class="soft">Settings are called a little otherwise from one phone to the next.</p>
<h2>On an iPhone or iPad</h2>
<ol><li>Allow the profile to load, then open <b>Settings</b>: <b>Profile Downloaded</b>, <b>Install</b>.</li>
<li><b>General</b>, <b>About</b>, <b>Certificate Trust Settings</b>: switch on <i>Verdant Burrow of this house</i>.</li></ol>
<h2>On Android</h2>
<ol><li><b>Settings</b>, search for <b>CA certificate</b>, <b>Install anyway</b>, and choose <i>burrow-authority.crt</i>.</li>
<li>In Firefox also: <b>Settings</b>, <b>About Firefox</b>, tap the logo five times, <b>Secret settings</b>, <b>Use third party CA certificates</b>.</li></ol>
<h2>On a computer</h2>
<ol><li>Open the file, keep it among the <b>trusted root</b> authorities, or in Firefox under <b>Certificates</b>, <b>Authorities</b>.</li></ol>
<a class="act second" href="${house}/">2. Open the house</a>
<p class="soft">An authority that a phone trusts can vouch for any address. This one’s key lies in the data folder of the server, readable
to its owner alone: whoever has that folder can listen in on phones that trust it. Take it out of the phone when you leave this house.</p>
<h2>Another phone</h2><img src="${qr}" width="220" height="220" alt="QR code of this page">
</main></html>`;
}
