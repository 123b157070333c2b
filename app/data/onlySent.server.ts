/** Answers those who get an address that only takes what is sent there. `what` begins the sentence: "A picture". */
export const onlySent = (what: string) => (): Response =>
  new Response(`${what} is sent here; there is nothing to get.`, {
    status: 405,
    headers: { allow: "POST", "content-type": "text/plain; charset=utf-8" },
  });
