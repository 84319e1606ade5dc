/** Features of Chromium that are left out: what Playwright leaves out (its list gives way to ours), and what works beside each new window. */
const WITHOUT = [
  ...['AvoidUnnecessaryBeforeUnloadCheckSync', 'DestroyProfileOnBrowserClose', 'HttpsUpgrades', 'HttpsFirstBalancedModeAutoEnable'],
  ...['LensOverlay', 'MediaRouter', 'PaintHolding', 'ThirdPartyStoragePartitioning', 'AvoidCorsURLLoaderRestartOnRedirect'],
  ...['OptimizationHints', 'NetworkTimeServiceQuerying', 'AimEnabled', 'PreconnectToSearch'],
  // Two pages below the address bar, which nobody sees here: they take as much of the processor as a light page of ours.
  ...['WebUIOmniboxPopup', 'WebUIOmniboxAimPopup'],
];

/** How tests and benchmarks start the browser: so that what it does, it does for the page. */
export const CHROMIUM = {
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    `--disable-features=${WITHOUT.join()}`,
  ],
};
