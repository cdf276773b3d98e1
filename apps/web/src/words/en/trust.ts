export const trust = {
  trust: 'Trusting this server',
  trustHeadline: 'Once, so that this device knows the club’s server',
  trustMeans:
    'The server stands in your own hall and vouches for itself: no other can read what is sent between. This device has to be told so one time.',
  thisDevice: 'This device is',
  ios: 'iPhone or iPad',
  android: 'Android',
  windows: 'Windows',
  mac: 'Mac',
  linux: 'Linux',
  fetchCertificate: 'Fetch the certificate',
  ios1: 'Settings, “Profile downloaded”, Install.',
  ios2: 'Settings, General, About, Certificate Trust Settings: switch this one on.',
  android1:
    'Settings, Security, More, “Install a certificate”, “CA certificate”; say yes to the warning.',
  android2: 'Choose the file that was just fetched.',
  windows1: 'Open the file, “Install certificate”, “Local machine”.',
  windows2:
    '“Place all certificates in the following store”: Trusted Root Certification Authorities.',
  mac1: 'Open the file; add it to the keychain “System”.',
  mac2: 'Open it there, Trust: “Always trust”.',
  linux1:
    'In the browser: Settings, Privacy and security, Manage certificates, Authorities, Import.',
  linux2: 'Tick that it may vouch for websites.',
  openApp: 'Open the app',
  without: 'Without it',
  withoutMeans:
    'The browser warns before the page. Whoever goes on all the same can do everything but: the screen may go dark in a drill, the microphone stays shut, and other gates of the browser for secure pages. Second screens that are joined by a code work.',
} as const;
