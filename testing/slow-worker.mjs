/** A thread for tests: busy for as many milliseconds as it is given, or for good. */
export default async function work({ input: { ms } }) {
  await new Promise((done) => setTimeout(done, ms));
  return { done: ms };
}
