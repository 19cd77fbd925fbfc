<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\WebDriverException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverDimension;
use Facebook\WebDriver\WebDriverExpectedCondition;
use PHPUnit\Framework\TestCase;
use Tests\SchoolServer;

/** A real browser on a real server with the demo school in a database of its own. */
abstract class BrowserTestCase extends TestCase
{
    use TypesKeys;

    /** Seconds: many browsers on a machine that does other work too are slow, and nobody waits longer than they must. */
    private const WAIT = 90;

    private static SchoolServer $school;

    private static string $driverAddress;

    private static ?RemoteWebDriver $open = null;

    protected RemoteWebDriver $browser;

    /** When the demo counts from. */
    protected static int $loadedAt;

    /** The machine's time when the school's clock began to go. */
    private static int $begunAt;

    public static function setUpBeforeClass(): void
    {
        self::$begunAt = time();
        self::$school = new SchoolServer;
        self::$loadedAt = self::$school->loadedAt;
        self::$school->start();
        self::$driverAddress = self::$school->beside(static fn (int $port): array => ['chromedriver', "--port={$port}", '--log-level=OFF']);
    }

    /**
     * Starts the server again as if it were so many days later than its clock had it if nobody had moved it: what was done
     * before, by another test too, does not lie ahead of it then.
     */
    protected static function moveTheClock(int $days): void
    {
        self::$school->startAgain($days * 86400 + time() - self::$begunAt);
    }

    /** Starts the server again as if it were that instant now. */
    protected static function setTheClock(int $instant): void
    {
        self::$school->startAgain($instant - self::$loadedAt);
    }

    public static function tearDownAfterClass(): void
    {
        self::closeBrowser();
        self::$school->stop();
    }

    protected function setUp(): void
    {
        $this->browser = self::$open ??= self::openBrowser();
        $this->browser->manage()->window()->setSize(new WebDriverDimension(1280, 800));
    }

    private static function openBrowser(): RemoteWebDriver
    {
        $options = (new ChromeOptions)->addArguments([
            '--headless=new', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking',
            '--disable-component-update', '--disable-sync', '--disable-dev-shm-usage', '--lang=en-GB', '--user-data-dir='.self::$school->folder.'/profile-'.bin2hex(random_bytes(4)),
        ]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);

        $browser = RemoteWebDriver::create(self::$driverAddress, $capabilities, 60_000, 180_000);
        $browser->manage()->timeouts()->setScriptTimeout(self::WAIT);

        return $browser;
    }

    /** One browser serves the tests of a class: it forgets everything between them, and is another one after a failure. */
    protected function tearDown(): void
    {
        if (! isset($this->browser)) {
            return;
        }
        if ($this->status()->isFailure() || $this->status()->isError()) {
            $this->keepWhatIsSeen(dirname(__DIR__, 2).'/storage/logs/'.$this->name());
            self::closeBrowser();

            return;
        }
        try {
            $windows = $this->browser->getWindowHandles();
            foreach (array_slice($windows, 1) as $window) {
                $this->browser->switchTo()->window($window)->close();
            }
            $this->browser->switchTo()->window($windows[0]);
            $this->asNobody();
            $tools = new ChromeDevToolsDriver($this->browser);
            $tools->execute('Storage.clearDataForOrigin', ['origin' => self::$school->address(), 'storageTypes' => 'all']);
            $tools->execute('Network.emulateNetworkConditions', ['offline' => false, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1]);
            $tools->execute('Emulation.clearDeviceMetricsOverride');
            $this->browser->manage()->getLog('browser');
        } catch (WebDriverException) {
            // It is in some state of which nobody knows.
            self::closeBrowser();
        }
    }

    /** The page as it was when the test failed, and what the browser had to say of it. */
    private function keepWhatIsSeen(string $file): void
    {
        $this->browser->takeScreenshot("{$file}.png");
        $entries = array_map(static fn (array $entry): string => $entry['level'].' '.$entry['message'], $this->browser->manage()->getLog('browser'));
        file_put_contents("{$file}.log", implode("\n", [$this->browser->getCurrentURL(), ...$entries, '']));
    }

    private static function closeBrowser(): void
    {
        self::$open?->quit();
        self::$open = null;
    }

    /** Errors of scripts; a refused page is an answer, not an error. */
    protected function assertNoScriptErrors(): void
    {
        $entries = $this->browser->manage()->getLog('browser');
        $errors = array_filter($entries, static fn (array $entry): bool => $entry['level'] === 'SEVERE' && ! str_contains((string) $entry['message'], 'the server responded with a status of 40'));

        self::assertSame([], array_column($errors, 'message'));
    }

    protected function visit(string $path): void
    {
        $this->browser->get(self::$school->address().$path);
        // Of the administrator's side the frame stands there first.
        $this->waitUntilGone('main[aria-busy]');
    }

    /** Forgets who was signed in: an answer that is still under way brings a cookie back, but nobody with it. */
    protected function asNobody(): void
    {
        $this->browser->get('about:blank');
        self::$school->endSessions();
        (new ChromeDevToolsDriver($this->browser))->execute('Network.clearBrowserCookies');
    }

    /** Puts the cookies of somebody who has signed in into the browser, which is much sooner done than filling in the form. */
    protected function signIn(string $name): void
    {
        $this->asNobody();
        $tools = new ChromeDevToolsDriver($this->browser);
        foreach (self::$school->signedIn("{$name}@alder.test", 'larch-and-oak') as $cookie => $value) {
            $tools->execute('Network.setCookie', ['name' => $cookie, 'value' => $value, 'url' => self::$school->address(), 'httpOnly' => $cookie !== 'XSRF-TOKEN', 'sameSite' => 'Lax']);
        }
    }

    protected function signInByForm(string $name): void
    {
        $this->asNobody();
        $this->visit('/sign-in');
        $this->find('input[type=email]')->sendKeys("{$name}@alder.test");
        $this->find('input[type=password]')->sendKeys('larch-and-oak');
        $this->find('button[type=submit]')->click();
        $this->browser->wait(self::WAIT, 150)->until(fn (): bool => ! str_ends_with($this->browser->getCurrentURL(), '/sign-in'));
    }

    protected function find(string $css): RemoteWebElement
    {
        return $this->located(WebDriverBy::cssSelector(self::css($css)), $css);
    }

    /** A selector as browsers know it: stylesheets are modules, and `.grid` is `_grid_workspace` on the page. */
    protected static function css(string $selector): string
    {
        $translated = preg_replace_callback('/\[[^\]]*\]|\.(?!mantine)([a-z][\w-]*)/', static fn (array $found): string => isset($found[1]) ? "[class*=\"_{$found[1]}_\"]" : $found[0], $selector);

        return $translated ?? $selector;
    }

    /** A button, link or field by its words. */
    protected function named(string $words): RemoteWebElement
    {
        $quoted = '"'.$words.'"';

        return $this->located(WebDriverBy::xpath("//button[contains(normalize-space(.), {$quoted})] | //a[contains(normalize-space(.), {$quoted})] | //*[@id=(//label[contains(normalize-space(.), {$quoted})]/@for)]"), $words);
    }

    /** Until nothing fades in or out any more, and a dialog that has come up has taken the focus. */
    protected function waitForStillness(): void
    {
        $this->browser->wait(self::WAIT, 100)->until(fn (): bool => $this->browser->executeAsyncScript(<<<'JS'
            const done = arguments[arguments.length - 1];
            const still = () => {
                const dialog = [...document.querySelectorAll('.mantine-Modal-content')].at(-1);
                return document.getAnimations().every(({ playState, effect }) => playState !== 'running' || effect?.getComputedTiming().endTime === Infinity)
                    && (dialog === undefined || dialog.contains(document.activeElement));
            };
            // Two frames apart: what is about to begin has begun.
            requestAnimationFrame(() => requestAnimationFrame(() => done(still())));
            JS) === true, 'The page did not come to rest');
    }

    protected function focusGrid(): void
    {
        $this->find('.scroll tbody tr td');
        $this->browser->executeScript('document.querySelector(arguments[0]).scrollTop = 0; document.querySelector("tbody tr td").focus()', [self::css('.scroll')]);
    }

    /** Puts the focus on the field with this label, as Tab would sooner or later. */
    protected function focusField(string $label): void
    {
        $this->browser->executeScript('[...document.querySelectorAll("label")].find((one) => one.textContent.includes(arguments[0])).control.focus()', [$label]);
    }

    protected function waitForFocus(string $css): void
    {
        $this->browser->wait(self::WAIT, 100)->until(
            fn (): bool => $this->browser->executeScript('return document.activeElement?.matches(arguments[0]) ?? false', [self::css($css)]) === true,
            "The focus did not come to {$css}",
        );
    }

    protected function waitForText(string $css, string $words, int $seconds = self::WAIT): void
    {
        $this->browser->wait($seconds, 150)->until(fn (): bool => $this->says($css, $words), "'{$words}' did not come up in {$css}");
    }

    /** Asked of the page itself: an element could be replaced between finding and reading it. */
    private function says(string $css, string $words): bool
    {
        return $this->browser->executeScript('return [...document.querySelectorAll(arguments[0])].some((one) => one.innerText.includes(arguments[1]))', [self::css($css), $words]) === true;
    }

    protected function waitUntilGone(string $css): void
    {
        $this->browser->wait(self::WAIT, 150)->until(fn (): bool => $this->browser->findElements(WebDriverBy::cssSelector(self::css($css))) === [], "{$css} stayed");
    }

    private function located(WebDriverBy $by, string $what): RemoteWebElement
    {
        $element = $this->browser->wait(self::WAIT, 150)->until(WebDriverExpectedCondition::elementToBeClickable($by), "There is no {$what}");
        assert($element instanceof RemoteWebElement);

        return $element;
    }

    /** The first value that a query of the school's database gives. */
    protected static function value(string $sql): string
    {
        return self::$school->value($sql) ?? self::fail("Nothing: {$sql}");
    }

    protected static function artisan(string ...$words): string
    {
        return self::$school->artisan(...$words);
    }
}
