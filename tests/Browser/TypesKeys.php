<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Exception\NoSuchElementException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Exception\TimeoutException;
use Facebook\WebDriver\Remote\RemoteWebElement;

/** Keys, as somebody presses them who looks at the page. */
trait TypesKeys
{
    /**
     * Types into what is found, found again where the page has put another in its place meanwhile: nothing was typed then.
     *
     * @param  callable(): RemoteWebElement  $find
     */
    protected function typeInto(callable $find, string $keys): void
    {
        for ($try = 1; ; $try++) {
            try {
                $find()->sendKeys($keys);

                return;
            } catch (StaleElementReferenceException $e) {
                if ($try === 5) {
                    throw $e;
                }
            }
        }
    }

    /**
     * Presses keys on what is found until something is said: on a busy machine a key may come to a page that is just being
     * put in place of another.
     *
     * @param  callable(): RemoteWebElement  $find
     */
    protected function pressUntil(callable $find, string $keys, string $css, string $words): void
    {
        for ($try = 1; ; $try++) {
            if ($try === 1 || ! $this->says($css, $words)) {
                try {
                    $find()->sendKeys($keys);
                } catch (StaleElementReferenceException|NoSuchElementException|TimeoutException) {
                    // The key may have come through just before its element was replaced: what is said next tells.
                }
            }
            try {
                $this->waitForText($css, $words, $try === 3 ? self::WAIT : 10);

                return;
            } catch (TimeoutException $e) {
                if ($try === 3) {
                    throw $e;
                }
            }
        }
    }

    /** Key by key, to whatever has the focus: what a key makes go away does not take the rest of the typing with it. */
    protected function typeAtFocus(string $keys): void
    {
        foreach (mb_str_split($keys) as $key) {
            $this->browser->getKeyboard()->pressKey($key)->releaseKey($key);
        }
    }

    protected function type(string $keys): void
    {
        $this->waitForStillness();
        $this->typeAtFocus($keys);
    }

    protected function keys(string $held, string $key): void
    {
        $this->browser->getKeyboard()->pressKey($held)->pressKey($key)->releaseKey($key)->releaseKey($held);
    }
}
