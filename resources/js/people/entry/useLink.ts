import { useRoute } from 'vue-router'

/** The secret of the link that the page was opened by: what stands behind its #. */
export const useLink = () => useRoute().hash.slice(1)
