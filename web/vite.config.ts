/// <reference types="vitest/config" />
import { readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { gzipSync } from 'node:zlib'
import tailwind from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { build, defineConfig, type Plugin, type Rolldown, type UserConfig } from 'vite'
import { groupsOf, partsOf } from './build/parts.ts'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

/** Packs what is sent often once and well, so that the web server need not pack it anew for everyone, and worse. */
const compressed: Plugin = {
  name: 'compressed',
  apply: 'build',
  writeBundle: (options, bundle) => {
    for (const name of Object.keys(bundle))
      if (/\.(?:js|css|svg)$/.test(name)) {
        const file = `${options.dir}/${name}`
        writeFileSync(`${file}.gz`, gzipSync(readFileSync(file), { level: 9 }))
      }
  },
}

// Two pages, built apart: what only staff need is shaken off the students' page, which phones fetch.
const page = process.env.CHALK_PAGE === 'student' ? 'student' : 'index'

const base: UserConfig = {
  root: here('.'),
  plugins: [react(), tailwind(), compressed],
  resolve: { alias: { '@': here('./src') } },
  build: {
    outDir: here('./dist'),
    emptyOutDir: page === 'index',
    target: 'es2022',
    chunkSizeWarningLimit: 900,
    rolldownOptions: { input: here(`./${page}.html`) },
  },
}

/** The desks are put together of as few parts as can be; what those are is told by a build that is thrown away. */
async function ofFewParts(): Promise<UserConfig> {
  const split = (await build({
    ...base,
    configFile: false,
    logLevel: 'error',
    plugins: [react(), tailwind()],
    build: { ...base.build, write: false },
  })) as Rolldown.RolldownOutput
  const groups = groupsOf(partsOf(split.output, (module) => module.startsWith(here('./src/app/'))))
  return {
    ...base,
    build: {
      ...base.build,
      rolldownOptions: { ...base.build?.rolldownOptions, output: { codeSplitting: { groups } } },
    },
  }
}

export default defineConfig(async ({ command }) => ({
  ...(command === 'build' && page === 'index' ? await ofFewParts() : base),
  test: {
    environment: 'jsdom',
    setupFiles: here('./src/testing/setup.ts'),
    include: ['src/**/*.test.{ts,tsx}', 'build/*.test.ts'],
    // A machine that does other things as well is slow, not wrong.
    testTimeout: 30_000,
  },
}))
