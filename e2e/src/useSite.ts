import { clientDir } from './clientDir.ts'
import {
  openAnew,
  openBrowser,
  serveSite,
  SHORT_LIVED,
  type Site,
  type SiteOptions,
  type Visit,
} from './harness/index.ts'

type SiteToServe = Omit<SiteOptions, 'clientDir'>

export interface Here {
  site: Site
  visit: Visit
}

/**
 * A server on a free port and a browser with a profile of its own, for a file of tests that stand on each other. `heavy`: what is
 * done takes so long that an optimising compiler pays.
 */
export function useSite({ heavy = false, ...options }: SiteToServe & { heavy?: boolean } = {}): Here {
  const here = {} as Here
  beforeAll(async () => {
    here.site = await serveSite({ clientDir, ...options })
    here.visit = await openBrowser(undefined, heavy ? [] : SHORT_LIVED)
  })
  afterAll(async () => {
    await here.visit.close()
    await here.site.close()
  })
  return here
}

type Anew = Awaited<ReturnType<typeof openAnew>>

/** A server for the file; for each of its tests a browser that was never there, which cannot be killed. */
export function useSiteAnew(options: SiteToServe = {}): { site: Site; visit: Anew } {
  const here = {} as { site: Site; visit: Anew }
  let running: Visit
  beforeAll(async () => {
    here.site = await serveSite({ clientDir, ...options })
    running = await openBrowser(undefined, SHORT_LIVED)
  })
  beforeEach(async () => {
    here.visit = await openAnew(running)
  })
  afterEach(() => here.visit.close())
  afterAll(async () => {
    await running.close()
    await here.site.close()
  })
  return here
}
