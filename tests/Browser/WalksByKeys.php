<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;

/** Going about by keys alone: no mouse, no field that is found for one, and always a focus that can be seen. Keys are counted. */
trait WalksByKeys
{
    private int $pressed = 0;

    /** What has the focus, in the words that stand on it or beside it; and whether one sees that it has. */
    private const FOCUSED = <<<'JS'
        const el = document.activeElement;
        if (el === null || el === document.body) { return ['', true]; }
        const named = el.getAttribute('aria-label') ?? el.labels?.[0]?.textContent ?? el.textContent ?? '';
        const style = getComputedStyle(el);
        const seen = style.outlineStyle !== 'none' && parseFloat(style.outlineWidth) >= 1 || el.matches('main, h1, [tabindex="-1"]') || el.tagName === 'AUDIO' || el.tagName.startsWith('MEDIA-'); // Players show it within.
        return [`${el.tagName.toLowerCase()} ${named.replace(/\s+/g, ' ').trim()}`, seen];
        JS;

    /** Presses a key until what has the focus begins so. */
    protected function tabTo(string $words, string $key = Keys::TAB): void
    {
        $this->waitForStillness();
        $passed = [];
        for ($press = 0; $press < 120; $press++) {
            $told = $this->browser->executeScript(self::FOCUSED);
            [$focused, $seen] = is_array($told) ? $told : ['', true];
            self::assertTrue($seen, "One does not see that “{$focused}” has the focus.");
            $said = substr((string) $focused, (int) strpos((string) $focused.' ', ' ') + 1);
            if (str_starts_with($said, $words)) {
                return;
            }
            $passed[] = (string) $focused;
            $this->browser->getKeyboard()->pressKey($key)->releaseKey($key);
            $this->pressed++;
        }
        self::fail("No key leads to “{$words}”; past ".implode(', ', array_slice(array_unique($passed), 0, 40)));
    }

    protected function press(string $words): void
    {
        $this->tabTo($words);
        $this->strike(Keys::ENTER);
    }

    protected function fill(string $field, string $with): void
    {
        $this->tabTo($field);
        $this->strike($with);
    }

    /** Types to whatever has the focus. */
    protected function strike(string $keys): void
    {
        $this->typeAtFocus($keys);
        $this->pressed += mb_strlen($keys);
    }

    protected function strikeHeld(string $held, string $key): void
    {
        $this->keys($held, $key);
        $this->pressed += 2;
    }
}
