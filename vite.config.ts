import optimizeLocales from '@react-aria/optimize-locales-plugin';
import react from '@vitejs/plugin-react';
import { type Plugin, defineConfig } from 'vite';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';
import { constants } from 'node:zlib';

/** What the server writes its nonce in place of. */
const NONCE = '__CSP_NONCE__';

/** An address that only the kept page has. */
const KEPT_PAGE = '/kept';

/** Keeps the whole app in the browser after the first visit: it is used in the garden and in the shop, without a network. */
const offline = VitePWA({
  injectRegister: false,
  manifest: {
    name: 'Cabanon',
    short_name: 'Cabanon',
    description: 'Plan a hoop house, low tunnel or cold frame over a raised bed before cutting anything.',
    theme_color: '#14302a',
    background_color: '#edf1ee',
    display: 'standalone',
    start_url: '/',
    icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' }],
  },
  workbox: {
    globPatterns: ['**/*.{html,js,css,woff2,wasm,svg,webmanifest}'],
    maximumFileSizeToCacheInBytes: 8_000_000,
    inlineWorkboxRuntime: true,
    clientsClaim: true,
    // The server writes a nonce into the page, so it is kept as it is served, not as it is built; and asked for anew while
    // there is a network, so that a new version is seen at once.
    manifestTransforms: [
      (entries) => ({
        manifest: entries.map((e) => (e.url === 'index.html' ? { ...e, url: KEPT_PAGE } : e)),
        warnings: [],
      }),
    ],
    navigateFallback: null,
    runtimeCaching: [
      {
        urlPattern: ({ request }) => request.mode === 'navigate',
        handler: 'NetworkOnly',
        options: { precacheFallback: { fallbackURL: KEPT_PAGE } },
      },
    ],
  },
});

/** Compressed once, when it is built, and not for every request. */
const compressed = [
  compression({
    include: /\.(js|css|svg|webmanifest)$/,
    threshold: 1000,
    algorithms: [defineAlgorithm('gzip', { level: 9 }), defineAlgorithm('brotliCompress')],
  }),
  // The solver is large and comes after the first drawing: the last percent is not worth the wait of every build.
  compression({
    include: /\.wasm$/,
    algorithms: [
      defineAlgorithm('gzip', { level: 9 }),
      defineAlgorithm('brotliCompress', { params: { [constants.BROTLI_PARAM_QUALITY]: 6 } }),
    ],
  }),
];

/** Nearly every place draws: what it draws with is fetched beside what the page begins with, not after it. */
const drawnAhead: Plugin = {
  name: 'drawn-ahead',
  transformIndexHtml: {
    order: 'post',
    handler: (_, { bundle = {} }) =>
      Object.values(bundle)
        .filter((file) => file.type === 'chunk' && file.name === 'drawn')
        .map(({ fileName }) => ({
          tag: 'link',
          attrs: { rel: 'modulepreload', crossorigin: true, href: `/${fileName}`, nonce: NONCE },
          injectTo: 'head' as const,
        })),
  },
};

export default defineConfig({
  root: 'web',
  // Cabanon speaks English: the words of its controls in thirty other languages stay behind.
  plugins: [react(), optimizeLocales.vite({ locales: ['en-US', 'en-GB'] }), drawnAhead, offline, ...compressed],
  html: { cspNonce: NONCE },
  worker: { format: 'es' },
  build: {
    outDir: '../dist',
    emptyOutDir: true,
    target: 'es2022',
    assetsInlineLimit: 0,
    rolldownOptions: {
      output: {
        // What is small and shared goes with its neighbours: every file more is one more to ask for before anything is drawn.
        codeSplitting: {
          groups: [
            { name: 'first', tags: ['$initial'] },
            // With all that these lean on.
            {
              name: 'drawn',
              test: /web\/(drawing\/(PulledView|usePull|useSize)|parts\/(Leaves|TypedField)|app\/(PlaceHead|figures)|background\/usePlan)\.tsx?$|core\/(layout|garden\/demo)\.ts$/,
            },
          ],
        },
      },
    },
  },
});
