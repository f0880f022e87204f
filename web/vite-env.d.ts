/// <reference types="vite-plugin-pwa/react" />
