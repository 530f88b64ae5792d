const escape = (text: string): string => text.replaceAll(/[&<>"']/g, (sign) => `&#${String(sign.codePointAt(0))};`)

interface PairPage {
  readonly nonce: string
  readonly code: string
  readonly problem: string | null
}

/** The one page a phone sees before it is let in: a code, a name, and why its browser warned of the certificate. It needs no script. */
export const writePairPage = ({ nonce, code, problem }: PairPage): string => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="referrer" content="same-origin"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Pair this phone · Tender Gill</title>
<style nonce="${escape(nonce)}">
body{margin:0;background:#E4EAEA;color:#15242C;font:17px/1.45 system-ui,sans-serif}
main{max-width:420px;margin:0 auto;padding:20px}
form,section{background:#FBFDFD;border:1px solid #C4D0D0;border-radius:4px;padding:16px;margin:12px 0}
label{display:block;font-weight:700;margin:10px 0 4px}
input{width:100%;box-sizing:border-box;font:inherit;font-size:22px;padding:10px;border:1px solid #546870;border-radius:4px}
button{width:100%;min-height:52px;margin-top:16px;font:inherit;font-weight:700;color:#FBFDFD;background:#0D5C63;border:0;border-radius:4px}
.problem{border-left:5px solid #7C2846;padding-left:10px;font-weight:700}
</style></head><body><main>
<h1>Pair this phone</h1>
<form method="post" action="/pair">
${problem === null ? '' : `<p class="problem" role="alert">${escape(problem)}</p>`}
<label for="code">The code, as the house shows it</label>
<input id="code" name="code" value="${escape(code)}" autocomplete="off" autocapitalize="characters" required maxlength="20">
<label for="name">What this phone is called</label>
<input id="name" name="name" value="Kitchen phone" required maxlength="80">
<button type="submit">Pair it</button>
</form>
<section><h2>Why the browser warned you</h2>
<p>This machine made its certificate itself, so no authority vouches for it. Compare the fingerprint the browser shows with the one under House, Phones: where they are the same, go on. Nothing of what you write leaves your network.</p></section>
</main></body></html>`
