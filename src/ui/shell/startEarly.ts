import { startEarly } from '@/store/light/early';

/** Places that show light at once. */
const LIT = /^\/($|check|stands|today)/;

if (typeof window !== 'undefined' && LIT.test(window.location.pathname)) startEarly();
