import { rememberCompared } from '../../core/answer/stand/rememberCompared';
import { setUpOf, type SetUp } from '../../core/answer/stand/setUp';
import { tables } from '../../core/things/tables/libraryTables';
import type { Site, Stand } from '../../core/site/stand/Site';

const compareIn = rememberCompared();

/** A set-up of a site with everything looked up; what its readings say is worked out once. */
export const setUpIn = (site: Site, stand: Stand): SetUp => setUpOf(site, stand, tables, compareIn);
