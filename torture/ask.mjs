/** Asks a server on this machine; gives the status, the text, and what the text says where it is JSON. */
export async function ask(port, method, path, body, longestMs = 60_000) {
  const answer = await fetch(`http://127.0.0.1:${port}/api${path}`, {
    method,
    headers: { 'Content-Type': 'application/json' },
    body: body === undefined ? undefined : JSON.stringify(body),
    signal: AbortSignal.timeout(longestMs),
  });
  const text = await answer.text();
  return { status: answer.status, text, body: /^[{[]/.test(text) ? JSON.parse(text) : null };
}
