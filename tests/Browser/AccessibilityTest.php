<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use PHPUnit\Framework\Attributes\DataProvider;

/** The axe rules find nothing serious on any main screen. */
final class AccessibilityTest extends BrowserTestCase
{
    use RunsAxe;

    /** One for all screens: starting it and signing in takes longer than looking. */
    private static ?RemoteWebDriver $kept = null;

    private static string $signedIn = '';

    public static function tearDownAfterClass(): void
    {
        self::$kept?->quit();
        self::$kept = null;
        self::$signedIn = '';
        parent::tearDownAfterClass();
    }

    protected function setUp(): void
    {
        if (self::$kept === null) {
            parent::setUp();
            self::$kept = $this->browser;
        }
        $this->browser = self::$kept;
    }

    protected function tearDown(): void
    {
    }

    private function as(string $who): void
    {
        if ($who === self::$signedIn) {
            return;
        }
        self::$signedIn = $who;
        $who === '' ? $this->asNobody() : $this->signIn($who);
    }

    #[DataProvider('screens')]
    public function test_a_screen_has_no_serious_violation(string $who, string $path, string $waitFor, ?string $press = null): void
    {
        $this->as($who);
        $this->visit($path);
        $this->find($waitFor);
        if ($press !== null) {
            $this->browser->executeScript('document.activeElement?.blur()');
            $this->type($press);
            $this->find('[role=dialog]');
        }
        $this->assertNothingSerious($path);
    }

    /** Grids and tables scroll inside themselves; the page does not, on a phone or at 400 %. */
    public function test_no_page_of_the_keep_scrolls_sideways_on_a_narrow_screen(): void
    {
        $tools = new ChromeDevToolsDriver($this->browser);
        $this->as('hege');
        try {
            foreach (['today', 'courses', 'courses/rigging/checks', 'courses/clinker', 'courses/clinker?lens=sightlines', 'courses/clinker?lens=timeline', 'courses/clinker?lens=notices', 'courses/clinker/revisions', 'courses/clinker/contents', 'courses/clinker/rehearsal', 'people', 'people/4', 'offers', 'notices', 'notices/letters', 'triggers', 'outbox', 'school'] as $path) {
                $tools->execute('Emulation.setDeviceMetricsOverride', ['width' => 390, 'height' => 844, 'deviceScaleFactor' => 1, 'mobile' => false]);
                $this->visit("/keep/{$path}");
                $this->find('main');
                self::assertLessThanOrEqual(390, $this->browser->executeScript('return document.documentElement.scrollWidth'), $path);
                $tools->execute('Emulation.setDeviceMetricsOverride', ['width' => 320, 'height' => 844, 'deviceScaleFactor' => 1, 'mobile' => false]);
                self::assertLessThanOrEqual(320, $this->browser->executeScript('return document.documentElement.scrollWidth'), $path);
            }
        } finally {
            $tools->execute('Emulation.clearDeviceMetricsOverride');
        }
    }

    /** @return array<string, array{0: string, 1: string, 2: string, 3?: string}> */
    public static function screens(): array
    {
        return [
            'sign-in' => ['', '/sign-in', 'input[type=email]'],
            'today' => ['hege', '/keep/today', '.week tbody th'],
            'courses' => ['hege', '/keep/courses', 'table.list'],
            'rules' => ['hege', '/keep/courses/clinker', 'td[data-row=m-tools]'],
            'rules with the sheet' => ['hege', '/keep/courses/clinker?row=l-timber', '.sheet h2'],
            'sightlines' => ['hege', '/keep/courses/clinker?lens=sightlines', 'td[data-row=m-tools] .c'],
            'why' => ['hege', '/keep/courses/clinker?lens=sightlines&row=l-advanced&who=holder:3:apprentice-pass', '.gates li'],
            'who looks' => ['hege', '/keep/courses/clinker?lens=sightlines', 'td[data-row=m-tools] .c', 'v'],
            'timeline' => ['hege', '/keep/courses/clinker?lens=timeline', 'td[data-row=m-tools] .bar'],
            'history' => ['hege', '/keep/courses/clinker/revisions', '.history li'],
            'checks' => ['hege', '/keep/courses/rigging/checks', '.level li'],
            'people' => ['hege', '/keep/people', 'table.people'],
            'a person' => ['hege', '/keep/people/4?why=clinker/l-garboard', '.whynot .gates li'],
            'what was open' => ['hege', '/keep/people/4/past?course=clinker', '.story li'],
            'what is kept of a person' => ['hege', '/keep/people/4/data', 'table.list'],
            'what changed' => ['hege', '/keep/courses/clinker/changed', '.askedof'],
            'personal data' => ['hege', '/keep/school/kept', '.schoolform'],
            'bringing in' => ['hege', '/keep/people/bring-in', 'form'],
            'offers' => ['hege', '/keep/offers', '.matrix'],
            'the outbox' => ['hege', '/keep/outbox', '.empty'],
            'in numbers' => ['hege', '/keep/courses/clinker/numbers', '.drawn svg'],
            'labels' => ['hege', '/keep/school/labels', 'table.list'],
            'the school' => ['hege', '/keep/school', '.schoolform'],
            'the staff' => ['hege', '/keep/school/staff', 'table.list'],
            'stand-in' => ['hege', '/keep/courses/clinker/stand-in?v[]=visitor', 'iframe'],
            'a stand-in page' => ['hege', '/keep/courses/clinker/stand-in/view?v[]=holder:8:apprentice-pass', '.path li'],
            'my courses' => ['eira', '/courses', '.mine li'],
            'a course' => ['eira', '/courses/clinker', '.path li'],
            'a lesson' => ['eira', '/courses/clinker/l-welcome', '.lesson h1'],
            'a notice' => ['eira', '/courses/clinker/l-garboard', '.notice h1'],
            'a visitor’s notice' => ['', '/courses/clinker/l-planes', '.notice h1'],
            'the front' => ['', '/', '.card'],
            'a course for visitors' => ['', '/courses/clinker', '.plan'],
            'a checkout' => ['', '/checkout/tools-only?item=l-planes', '.simulated'],
            'a lesson with a video' => ['ragna', '/courses/clinker/l-steam', '.watched'],
            'a lesson with a quiz' => ['jorunn', '/courses/clinker/l-timber', '.question'],
            'announcements' => ['eira', '/courses/clinker/b-news', '.lesson h1'],
            'marks' => ['eira', '/courses/clinker/b-marks', '.marks'],
            'a calendar' => ['embla', '/courses/winter-refit/b-dates', '.dates'],
            'a discussion' => ['ask', '/courses/steam-frames/b-bench', '.posts'],
            'notices' => ['hege', '/keep/notices?case=too-early', '.notice-preview h2'],
            'contents' => ['hege', '/keep/courses/clinker/contents/l-timber', '.notice-preview .prose'],
            'letters' => ['hege', '/keep/notices/letters', 'form'],
            'triggers' => ['hege', '/keep/triggers?open=1', '.editor'],
            'forms' => ['hege', '/keep/triggers/forms?open=1', '.editor'],
            'systems of others' => ['hege', '/keep/triggers/outside', '.empty'],
            'the mailing list' => ['hege', '/keep/outbox/list', '.empty'],
            'messages' => ['hege', '/keep/outbox/messages', '.empty'],
            'tokens' => ['hege', '/keep/triggers/tokens', '.empty'],
            'the interface' => ['hege', '/interface', 'article'],
            'run again' => ['hege', '/keep/courses/clinker/run-again', 'form'],
            'nothing there' => ['eira', '/courses/nothing', '.errorpage h1'],
        ];
    }

    public function test_a_rehearsal_has_no_serious_violation(): void
    {
        $this->as('hege');
        $this->visit('/keep/courses/clinker?lens=sightlines&row=l-advanced&who=holder:3:apprentice-pass');
        $this->named('Set in the draft')->click();
        $this->named('Review ')->click();
        $this->waitForText('.publish', 'in the draft');
        $this->test_a_screen_has_no_serious_violation('hege', '/keep/courses/clinker/rehearsal', '.publish form');
    }
}
