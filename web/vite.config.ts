import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { endpointFacts } from './build/endpoint-facts.ts';

export default defineConfig({
  root: import.meta.dirname,
  plugins: [endpointFacts(), react()],
  worker: { format: 'es' },
  server: { port: 4181, proxy: { '/api': `http://127.0.0.1:${process.env['API_PORT'] ?? '4180'}` } },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 700,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'react', test: /node_modules[\\/](react|react-dom|scheduler|react-router)[\\/]/ },
            {
              name: 'chakra',
              test: /node_modules[\\/](@chakra-ui|@ark-ui|@zag-js|@emotion|@pandacss|@internationalized|@floating-ui)[\\/]/,
            },
            { name: 'echarts', test: /node_modules[\\/](echarts|zrender)[\\/]/ },
            // Thirty small answers cost more in their heads than in what they hold. What chooses the words comes first and alone: a view says its
            // sentences as it is loaded.
            {
              name: 'words',
              // The hazards in English are for pages in another language, the terms for the glossary.
              test: /[\\/](words[\\/](?!hazards\.en|reviewed|terms)|core[\\/]base[\\/](messages|units|outcome)[\\/]|intl-messageformat|@formatjs|web[\\/]src[\\/](lib[\\/](words|load-words|device)|session[\\/]settings))/,
              minShareCount: 1,
            },
            {
              name: 'first-view',
              test: /[\\/]web[\\/]src[\\/].*[\\/](start|today|tour|preferences|language-row|notices|overlay|text-field|use-sum|supervised)\.tsx?$/,
            },
            { name: 'shared', test: /[\\/]web[\\/]src[\\/](ui|lib|session|app)[\\/]/, minShareCount: 8 },
          ],
        },
      },
    },
  },
});
