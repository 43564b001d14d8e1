import './styles/reset.css'
import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import '@fontsource-variable/atkinson-hyperlegible-mono/index.css'
import 'vuetify/styles/core'
import './styles/base.css'
import { VueQueryPlugin } from '@tanstack/vue-query'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'
import App from './App.vue'
import { queries } from './api/queries'
import { keepClientOnDevice } from './offline/install'
import { router } from './router'
import { themes } from './theme'

const vuetify = createVuetify({
  theme: { defaultTheme: 'light', themes },
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  defaults: {
    VTextField: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto' },
    VSelect: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto' },
    VCombobox: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto' },
    VAutocomplete: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto' },
  },
})

createApp(App).use(createPinia()).use(VueQueryPlugin, { queryClient: queries }).use(router).use(vuetify).mount('#app')

if (import.meta.env.PROD) void router.isReady().then(keepClientOnDevice)
