export const offline = {
  device: 'This device',
  ready: 'Everything here opens without a network',
  reading: 'Getting ready to open without a network…',
  notWhole: 'Not all of it opens without a network yet',
  notHere: 'This device needs the network to open Orthokin',
  notHereMeans:
    'Browsers keep an app for use without a network only on a secure page: on this machine itself, or over HTTPS (./start --lan). What is recorded is kept on the device all the same until it is sent.',
  whatMeans:
    'Squad, people, plans, patterns, ladders, the newest review of everybody and every drill; sets run meanwhile are kept here and sent later.',
  kept: 'Stored on this device',
  keptOf:
    '{replies, plural, =0 {Nothing yet.} one {One page’s worth, {room}, read {newest}.} other {# pages’ worth, {room}; the newest read {newest}, the oldest {oldest}.}}',
  roomOf: '{used} of about {all} that this browser lets the app use, film included.',
  sealed:
    'It is encrypted with a key that is deleted when you sign out, or when an owner ends the device.',
  forget: 'Delete what is stored',
  forgotten: 'Deleted. It is read again the next time the app opens with a network.',
  waiting:
    '{waiting, plural, =0 {Everything recorded here was sent.} one {One thing recorded here is not sent yet.} other {# things recorded here are not sent yet.}}',
  install: 'Install Orthokin on this device',
  installMeans:
    'Installed, it opens like any other app of the device, full screen. Where there is no button for it here, the browser’s menu has “Install” or “Add to home screen”.',
  newer: 'A newer version of Orthokin is here.',
  takeNewer: 'Take it now',
  noAnswer:
    'The server does not answer. What you see was read {when}; what you record is kept here.',
  justNow: 'just now',
  ago: '{amount} ago',
  megabytes: '{mb} MB',
  gigabytes: '{gb} GB',
};
