// Every page is built ahead and can be opened cold, online or not.
export const prerender = true;
