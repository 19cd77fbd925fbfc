<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverDimension;
use Facebook\WebDriver\WebDriverExpectedCondition;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\PhpExecutableFinder;
use Symfony\Component\Process\Process;

/** A real browser on a real server with the demo school in a database of its own. */
abstract class BrowserTestCase extends TestCase
{
    private const WAIT = 30;

    private static ?Process $server = null;

    /**
     * The instant at which the school is loaded, the same on whatever day the tests run; TESTS_AT names another. It lies
     * ahead of the machine's own clock, by which the browser forgets cookies.
     */
    private const LOADED_AT = '2037-03-10T10:30:00Z';

    /** Seconds by which the clock of the application goes ahead. */
    private static int $ahead = 0;

    /** The same as the school was loaded. */
    private static int $aheadAtFirst = 0;

    private static ?Process $driver = null;

    /** @var list<resource> files whose locks claim ports */
    private static array $claims = [];

    private static string $folder;

    private static string $address;

    private static string $driverAddress;

    protected RemoteWebDriver $browser;

    /** When the demo counts from, as the test process sees it. */
    protected static int $loadedAt;

    public static function setUpBeforeClass(): void
    {
        self::$folder = sys_get_temp_dir().'/silent-keep-'.bin2hex(random_bytes(6));
        mkdir(self::$folder);
        self::$loadedAt = (int) strtotime(getenv('TESTS_AT') ?: self::LOADED_AT);
        self::$ahead = self::$aheadAtFirst = self::$loadedAt - time();
        touch(self::$folder.'/school.sqlite');
        self::artisan('migrate', '--force');
        self::artisan('keep:demo');

        self::onAFreePort(static function (int $port): void {
            self::$address = "http://127.0.0.1:{$port}";
            self::serve($port);
        });
        self::onAFreePort(static function (int $port): void {
            self::$driverAddress = "http://127.0.0.1:{$port}";
            self::$driver = self::start(['chromedriver', "--port={$port}", '--log-level=OFF'], $port);
        });
    }

    /** Starts the server again as if it were so many days after the school was loaded. */
    protected static function moveTheClock(int $days): void
    {
        self::startAhead(self::$aheadAtFirst + $days * 86400);
    }

    /** Starts the server again as if it were that instant now. */
    protected static function setTheClock(int $instant): void
    {
        self::startAhead($instant - time());
    }

    private static function startAhead(int $seconds): void
    {
        self::$ahead = $seconds;
        $port = (int) parse_url(self::$address, PHP_URL_PORT);
        self::$server?->stop(2);
        self::serve($port);
    }

    private static function serve(int $port): void
    {
        self::$server = self::start([self::php(), '-S', "127.0.0.1:{$port}", self::root().'/vendor/laravel/framework/src/Illuminate/Foundation/resources/server.php'], $port);
    }

    /**
     * @param  list<string>  $command  that listens on a port; its output goes nowhere, for a full pipe would stop it
     *
     * @throws \RuntimeException if it ends at once, as it does where somebody else has the port
     */
    private static function start(array $command, int $port): Process
    {
        $process = (new Process($command, self::root().'/public', self::environment(), timeout: null))->disableOutput();
        $process->start();
        for ($try = 0; $try < 300; $try++) {
            if (! $process->isRunning()) {
                throw new \RuntimeException("{$command[0]} does not run on port {$port}.");
            }
            // Refused until it listens: that is no warning of the test.
            set_error_handler(static fn (): bool => true);
            $socket = fsockopen('127.0.0.1', $port, timeout: 1);
            restore_error_handler();
            if ($socket !== false) {
                fclose($socket);

                return $process;
            }
            usleep(100_000);
        }
        self::fail("Nothing answers: {$command[0]} on port {$port}.");
    }

    public static function tearDownAfterClass(): void
    {
        self::$server?->stop(2);
        self::$driver?->stop(2);
        array_map(fclose(...), self::$claims);
        self::$claims = [];
        (new Process(['rm', '-rf', self::$folder]))->run();
    }

    protected function setUp(): void
    {
        $options = (new ChromeOptions)->addArguments([
            '--headless=new', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking',
            '--disable-component-update', '--disable-sync', '--disable-dev-shm-usage', '--lang=en-GB', '--user-data-dir='.self::$folder.'/profile-'.bin2hex(random_bytes(4)),
        ]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);
        $this->browser = RemoteWebDriver::create(self::$driverAddress, $capabilities, 20_000, 60_000);
        $this->browser->manage()->window()->setSize(new WebDriverDimension(1280, 800));
    }

    protected function tearDown(): void
    {
        if (isset($this->browser)) {
            if ($this->status()->isFailure() || $this->status()->isError()) {
                $this->browser->takeScreenshot(self::root().'/storage/logs/'.$this->name().'.png');
            }
            $this->browser->quit();
        }
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
        $this->browser->get(self::$address.$path);
    }

    protected function signIn(string $name): void
    {
        $this->browser->manage()->deleteAllCookies();
        $this->visit('/sign-in');
        $this->find('input[type=email]')->sendKeys("{$name}@alder.test");
        $this->find('input[type=password]')->sendKeys('larch-and-oak');
        $this->find('button[type=submit]')->click();
        $this->browser->wait(self::WAIT, 150)->until(fn (): bool => ! str_ends_with($this->browser->getCurrentURL(), '/sign-in'));
    }

    protected function find(string $css): RemoteWebElement
    {
        return $this->located(WebDriverBy::cssSelector($css), $css);
    }

    /** A button, link or field by its words. */
    protected function named(string $words): RemoteWebElement
    {
        $quoted = '"'.$words.'"';

        return $this->located(WebDriverBy::xpath("//button[contains(normalize-space(.), {$quoted})] | //a[contains(normalize-space(.), {$quoted})] | //*[@id=(//label[contains(normalize-space(.), {$quoted})]/@for)]"), $words);
    }

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

    /** Key by key, to whatever has the focus: what a key makes go away does not take the rest of the typing with it. */
    protected function typeAtFocus(string $keys): void
    {
        foreach (mb_str_split($keys) as $key) {
            $this->browser->getKeyboard()->pressKey($key)->releaseKey($key);
        }
    }

    protected function type(string $keys): void
    {
        // A dialog takes the focus a moment after it has come.
        usleep(350_000);
        $this->typeAtFocus($keys);
    }

    protected function keys(string $held, string $key): void
    {
        $this->browser->getKeyboard()->pressKey($held)->pressKey($key)->releaseKey($key)->releaseKey($held);
    }

    protected function focusGrid(): void
    {
        usleep(350_000);
        $this->browser->executeScript('document.querySelector(".scroll").scrollTop = 0; document.querySelector("tbody tr td").focus()');
    }

    /** Puts the focus on the field with this label, as Tab would sooner or later. */
    protected function focusField(string $label): void
    {
        $this->browser->executeScript('[...document.querySelectorAll("label")].find((one) => one.textContent.includes(arguments[0])).control.focus()', [$label]);
    }

    protected function waitForFocus(string $css): void
    {
        $this->browser->wait(self::WAIT, 100)->until(
            fn (): bool => $this->browser->executeScript('return document.activeElement?.matches(arguments[0]) ?? false', [$css]) === true,
            "The focus did not come to {$css}",
        );
    }

    protected function waitForText(string $css, string $words): void
    {
        $this->browser->wait(self::WAIT, 150)->until(
            // Asked of the page itself: an element could be replaced between finding and reading it.
            fn (): bool => $this->browser->executeScript('return [...document.querySelectorAll(arguments[0])].some((one) => one.innerText.includes(arguments[1]))', [$css, $words]) === true,
            "'{$words}' did not come up in {$css}",
        );
    }

    protected function waitUntilGone(string $css): void
    {
        $this->browser->wait(self::WAIT, 150)->until(fn (): bool => $this->browser->findElements(WebDriverBy::cssSelector($css)) === [], "{$css} stayed");
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
        $rows = (new \PDO('sqlite:'.self::$folder.'/school.sqlite'))->query($sql);
        $value = $rows === false ? null : $rows->fetchColumn();
        self::assertTrue(is_scalar($value), $sql);

        return (string) $value;
    }

    protected static function artisan(string ...$words): string
    {
        return (new Process([self::php(), 'artisan', ...$words], self::root(), self::environment(), timeout: 120))->mustRun()->getOutput();
    }

    /** @return array<string, string> */
    private static function environment(): array
    {
        return [
            'APP_ENV' => 'production', 'APP_KEY' => 'base64:MDEyMzQ1Njc4OTAxMjM0NTY3ODkwMTIzNDU2Nzg5MDE=', 'DB_DATABASE' => self::$folder.'/school.sqlite',
            'SESSION_DRIVER' => 'file', 'CACHE_STORE' => 'file', 'QUEUE_CONNECTION' => 'sync', 'BCRYPT_ROUNDS' => '4', 'LOG_CHANNEL' => 'single', 'CLOCK_AHEAD' => (string) self::$ahead,
        ];
    }

    private static function php(): string
    {
        return (string) (new PhpExecutableFinder)->find();
    }

    private static function root(): string
    {
        return dirname(__DIR__, 2);
    }

    /**
     * Tests that run beside this one look for ports as well: each is claimed by a lock on a file until this process ends.
     *
     * @param  callable(int): void  $listen
     */
    private static function onAFreePort(callable $listen): void
    {
        for ($try = 1; ; $try++) {
            $port = self::freePort();
            $claim = fopen(sys_get_temp_dir()."/silent-keep-port-{$port}", 'c');
            assert($claim !== false);
            if (! flock($claim, LOCK_EX | LOCK_NB)) {
                continue;
            }
            self::$claims[] = $claim;
            try {
                $listen($port);

                return;
            } catch (\RuntimeException $e) {
                if ($try >= 10) {
                    throw $e;
                }
            }
        }
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        assert($socket !== false);
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);

        return $port;
    }
}
