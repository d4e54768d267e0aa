/** What `serveApp` asks to see whether an app is up. */
export const GET = () => new Response();
