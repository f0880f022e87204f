/// <reference types="vite-plugin-pwa/react" />

/** Which program this is: that of these sources. */
declare const __VERSION__: string;
