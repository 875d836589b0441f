import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import '@fontsource-variable/atkinson-hyperlegible-mono/index.css'
import PrimeVue from 'primevue/config'
import { createApp } from 'vue'
import './theme/tokens.css'
import './theme/base.css'
import './theme/forced.css'
import { Hepno } from './theme/preset'
import App from './shell/App.vue'
import { router } from './router'
import { watchPresses } from './sending/presses'

watchPresses()

createApp(App)
  .use(router)
  .use(PrimeVue, {
    theme: { preset: Hepno, options: { darkModeSelector: 'none', cssLayer: { name: 'prime', order: 'prime, hepno' } } },
  })
  .mount('#app')
