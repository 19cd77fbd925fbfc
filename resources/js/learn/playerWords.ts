import { addTranslation, setLanguage } from 'media-chrome/dist/utils/i18n.js';

import { say } from '../lib/say';

/** What the controls of films say, in the language of the page: by themselves they speak that of the browser. */
export function speakTheirLanguage(): void {
  const language = document.documentElement.lang || 'en';
  addTranslation(language, {
    'video player': say('player.video'),
    play: say('player.play'),
    Play: say('player.play'),
    pause: say('player.pause'),
    Pause: say('player.pause'),
    mute: say('player.mute'),
    Mute: say('player.mute'),
    unmute: say('player.unmute'),
    Unmute: say('player.unmute'),
    'closed captions': say('player.captions'),
    'Enable captions': say('player.captions_on'),
    'Disable captions': say('player.captions_off'),
    'enter fullscreen mode': say('player.full'),
    'Enter fullscreen mode': say('player.full'),
    'exit fullscreen mode': say('player.full_off'),
    'Exit fullscreen mode': say('player.full_off'),
    'Seek backward': say('player.back'),
    'seek back {seekOffset} seconds': say('player.back_seconds', { seconds: '{seekOffset}' }),
    seek: say('player.seek'),
    'playback time': say('player.time'),
    '{currentTime} of {totalTime}': say('player.of', { at: '{currentTime}', whole: '{totalTime}' }),
    '{time} remaining': say('player.remaining', { time: '{time}' }),
    'video not loaded, unknown time.': say('player.not_loaded'),
    hour: say('player.hour'),
    hours: say('player.hours'),
    minute: say('player.minute'),
    minutes: say('player.minutes'),
    second: say('player.second'),
    seconds: say('player.seconds'),
    'Network Error': say('player.network'),
    'A network error caused the media download to fail.': say('player.network_told'),
  });
  setLanguage(language);
}
