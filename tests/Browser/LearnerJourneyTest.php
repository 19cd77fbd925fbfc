<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Keys;
use Facebook\WebDriver\WebDriverSelect;
use PHPUnit\Framework\Attributes\DataProvider;

/** The learner's side: finding one's way in, looking as a guest or with somebody, watching, and a pass that ends. */
final class LearnerJourneyTest extends BrowserTestCase
{
    use RunsAxe;

    public function test_a_visitor_looks_at_a_sample_meets_a_closed_door_buys_and_is_back_at_the_lesson(): void
    {
        $this->visit('/');
        $this->named('Clinker planking')->click();
        $this->waitForText('.facts', '8 lessons, 2 films, 1 quiz');
        $this->waitForText('.plan', 'a Monday, week');
        $this->waitForText('.prose', 'planks first, frames after');
        $this->named('Welcome to the shed')->click();
        $this->waitForText('.lesson h1', 'Welcome to the shed');
        $this->find('.medium img');
        $this->named('Tuning a plane')->click();
        $this->waitForText('.notice h1', 'Tuning a plane needs a pass');
        $this->named('Tools only')->click();
        $this->waitForText('.simulated', 'no money moves');
        $this->named('Buy it for')->click();
        $this->waitForText('.doorform', 'Please type your name.');
        $this->named('Your name')->sendKeys('Alva Brekke');
        $this->named('Your e-mail address')->sendKeys('eira@alder.test');
        $this->named('Buy it for')->click();
        // There is an account with this address; nothing says so, and nothing of it is here.
        $this->waitForText('.lesson h1', 'Tuning a plane');
        $this->waitForText('.flash', 'A letter is on its way to eira@alder.test');
        $this->waitForText('.ltop', 'Alva Brekke');
        $this->named('Mark as finished')->click();
        $this->waitForText('.did', 'Finished');
        $this->assertNoScriptErrors();

        // Whoever has the address uses the link: what was bought is theirs, and so is what was finished.
        self::assertSame(1, preg_match('#https?://[^/\s]+(/sign-in/link/\w+)#', self::artisan('keep:letters', 'eira@alder.test'), $found));
        $this->asNobody();
        $this->visit($found[1] ?? '');
        $this->find('.errorpage button')->click();
        $this->waitForText('.ltop', 'Eira Holm');
        self::assertSame('2', self::value("select count(*) from passes where person_id = (select id from people where email = 'eira@alder.test')"));

        // What was sent stands in the outbox, without what only its reader may see.
        $this->signIn('hege');
        $this->visit('/keep/outbox');
        $this->find('.letters summary')->click();
        $this->waitForText('main', '[a link that only they were sent]');
    }

    public function test_a_guest_comes_in_with_the_pass_phrase_looks_leaves_and_comes_back(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/clinker');
        $this->named('change')->click();
        $this->named('Pass phrase')->sendKeys('three strakes');
        $this->named('Make a link for guests')->click();
        $link = (string) $this->named('Their link')->getAttribute('value');
        self::assertMatchesRegularExpression('~/g/[0-9a-f]{32}$~', $link);
        $this->named('Keep in the draft')->click();
        $this->named('Review ')->click();
        $this->named('Publish 1 change')->click();
        $this->waitForText('.flash', 'Published as revision 2');

        $this->asNobody();
        $path = (string) parse_url($link, PHP_URL_PATH);
        $this->visit($path);
        $this->named('Pass phrase')->sendKeys('three strokes'.Keys::ENTER);
        $this->waitForText('.doorform', 'That is not the pass phrase.');
        $this->named('Pass phrase')->sendKeys(str_repeat(Keys::BACKSPACE, 20).'Three strakes'.Keys::ENTER);
        $this->waitForText('.lookas', 'as a guest');
        $this->named('Open day tour')->click();
        $this->waitForText('.lesson', 'Walk clockwise');
        self::assertStringNotContainsString('Mark as finished', $this->browser->getPageSource());
        $this->named('Leave')->click();
        $this->waitForText('h1', 'Boats by hand');
        $this->visit('/courses/clinker/l-open-day');
        $this->waitForText('.errorpage', 'nothing');
        $this->visit($path);
        $this->named('Pass phrase')->sendKeys('three strakes'.Keys::ENTER);
        $this->waitForText('.lookas', 'as a guest');
        $this->assertNoScriptErrors();
    }

    public function test_an_observer_chooses_with_which_of_two_learners_to_look(): void
    {
        $jonas = self::value("select id from people where email = 'jonas@alder.test'");
        $this->signIn('hege');
        foreach (['ragna', 'ask'] as $learner) {
            $id = self::value("select id from people where email = '{$learner}@alder.test'");
            $this->visit("/keep/people/{$id}");
            $this->named('Let somebody observe them')->click();
            $this->find('[role=dialog] input')->sendKeys('jonas');
            $this->find('[aria-label="Tie Jonas Wren"]')->click();
            $this->waitForText('main', 'Jonas Wren');
        }
        $this->signIn('jonas');
        $this->visit('/courses');
        $this->named('with Ask Vollan')->click();
        $this->waitForText('.mine', 'Frames pass');
        $this->named('Steam-bent frames')->click();
        $this->waitForText('.prog', '2 of 5 lessons finished');
        $this->named('Riving blanks')->click();
        $this->waitForText('.lesson', 'Split, never saw');
        self::assertStringNotContainsString('Mark as finished', $this->browser->getPageSource());
        // Ragna holds nothing of this course, and nobody offers to sell it to her observer.
        (new WebDriverSelect($this->find('.lookwith select')))->selectByVisibleText('with Ragna Lie');
        $this->waitForText('.lookas', 'with Ragna Lie');
        self::assertStringNotContainsString('EUR', $this->find('main')->getText());
        $this->visit('/courses');
        $this->waitForText('.mine', 'Apprentice pass');
        $this->named('Clinker planking')->click();
        $this->waitForText('.lookas', 'with Ragna Lie');
        $this->named('Marks')->click();
        $this->waitForText('.marks', 'Welcome to the shed');
        $this->assertNoScriptErrors();
        self::assertSame('0', self::value("select count(*) from completions where person_id = {$jonas}"));
    }

    public function test_a_learner_cannot_skip_ahead_in_a_video_watches_it_through_a_broken_line_and_gets_on(): void
    {
        $this->signIn('ragna');
        $this->visit('/courses/clinker/l-steam');
        $this->waitForText('.watched', '0 % watched');
        $this->find('media-play-button')->click();
        $this->waitUntil('document.querySelector("video").currentTime > 1');
        $this->browser->executeScript('document.querySelector("video").currentTime = 15');
        $this->waitUntil('!document.querySelector("video").seeking && document.querySelector("video").currentTime < 6');

        // The line breaks, and comes back: what was watched meanwhile counts.
        $line = new ChromeDevToolsDriver($this->browser);
        $cut = static fn (bool $off): array => $line->execute('Network.emulateNetworkConditions', ['offline' => $off, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1]);
        $this->waitUntil('document.querySelector("video").buffered.length > 0 && document.querySelector("video").buffered.end(0) > 15');
        $line->execute('Network.enable');
        $cut(true);
        $this->waitForText('.watched', 'The line is down');
        $cut(false);
        $this->waitForText('.did', 'Finished');
        // What waited for it has opened without the page being loaded again.
        $this->named('The garboard')->click();
        $this->waitForText('.lesson', 'The first plank twists');
        self::assertSame('1', self::value("select count(*) from completions where item_key = 'l-steam' and person_id = (select id from people where email = 'ragna@alder.test')"));
    }

    public function test_a_pass_that_ends_while_the_page_is_open_closes_it(): void
    {
        $end = self::value("select ends_at from passes where person_id = (select id from people where email = 'marius@alder.test')");
        self::setTheClock((int) strtotime("{$end} UTC") - 300);
        $this->signIn('marius');
        self::setTheClock((int) strtotime("{$end} UTC") - 30);
        $this->visit('/courses/clinker/l-planes');
        $this->waitForText('.lesson', 'Back off the frog');
        $this->waitForText('.notice h1', 'Your pass has ended', 60);
        $this->waitUntilGone('article.lesson');
        self::moveTheClock(0);
        $this->assertNoScriptErrors();
    }

    public function test_a_quiz_is_answered_with_the_keyboard_alone(): void
    {
        $this->signIn('bergljot');
        $this->visit('/courses/clinker/l-planes');
        $this->pressUntil(fn () => $this->named('Mark as finished'), Keys::ENTER, '.did', 'Finished');
        $this->named('Choosing larch')->sendKeys(Keys::ENTER);
        $this->waitForText('.quiz', '70 % finish the lesson');
        $this->browser->executeScript('document.querySelector("[class*=_question_] input").focus()');
        foreach ([Keys::SPACE, Keys::TAB, Keys::SPACE, Keys::TAB, Keys::SPACE, Keys::TAB, Keys::SPACE, Keys::TAB, Keys::TAB, Keys::ENTER] as $key) {
            $this->typeAtFocus($key);
        }
        $this->waitForText('.quiz [role=status]', '66 % right');
        // One up from what was chosen first: the second answer.
        $this->browser->executeScript('document.querySelector("[class*=_question_] input").focus()');
        $this->typeAtFocus(Keys::ARROW_DOWN);
        $this->named('Try again')->sendKeys(Keys::ENTER);
        $this->waitForText('.did', 'Finished');
        $this->assertNoScriptErrors();
    }

    /** A policy that let the page load no media of its own making once refused every video. */
    public function test_an_administrator_puts_a_video_in_and_a_learner_plays_it(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/clinker/contents/l-planes');
        $this->waitForText('.upload', 'Put it in');
        $input = $this->browser->findElement(WebDriverBy::cssSelector('input[type=file]'));
        $input->setFileDetector(new LocalFileDetector);
        $input->sendKeys(dirname(__DIR__, 2).'/database/demo/media/riveting.webm');
        $this->waitUntil('document.querySelector("[class*=_upload_] input[maxlength]").value === "riveting"');
        $this->named('Its title')->sendKeys(' by hand');
        $this->named('Put it in')->click();
        $this->waitForText('.media-edit', 'video, 46 KB, 00:12');
        $this->named('Text')->sendKeys(Keys::CONTROL.Keys::END);
        $this->named('Text')->sendKeys(' **Twice.**');
        $this->waitForText('.notice-preview strong', 'Twice.');
        $this->named('Save')->click();
        $this->waitForText('.flash', 'Saved.');
        $this->assertNoScriptErrors();

        $this->signIn('eira');
        $this->visit('/courses/clinker/l-planes');
        $this->waitForText('.videoline', 'riveting by hand');
        $this->waitForText('.prose strong', 'Twice.');
        $this->find('media-play-button')->click();
        // Nothing depends on it: one may go where one likes.
        $this->waitUntil('document.querySelector("video").currentTime > 0.5');
        $this->browser->executeScript('document.querySelector("video").currentTime = 9');
        $this->waitUntil('!document.querySelector("video").seeking && document.querySelector("video").currentTime >= 9');
        $this->assertNoScriptErrors();
    }

    public function test_a_school_says_in_its_own_words_what_is_closed(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/notices?case=no-pass');
        $this->named('Heading')->sendKeys(Keys::CONTROL.'a');
        $this->named('Heading')->sendKeys('Come in and see, {nmae}');
        $this->waitForText('.notice-preview', 'Nothing stands for {nmae}.');
        $this->named('Save')->click();
        $this->waitForText('.notice-edit', 'Known are {title}');
        $this->named('Heading')->sendKeys(Keys::CONTROL.'a');
        $this->named('Heading')->sendKeys('Come in and see, {name}');
        $this->waitForText('.notice-preview h2', 'Come in and see, Eira Holm');
        $this->named('Save')->click();
        $this->waitForText('.flash', 'Saved.');
        $this->assertNoScriptErrors();

        $this->signIn('jonas');
        $this->visit('/courses/clinker/l-planes');
        $this->waitForText('.notice h1', 'Come in and see, Jonas Wren');
        $this->signIn('hege');
        $this->visit('/keep/notices?case=no-pass');
        $this->named('Back to the usual words')->click();
        $this->waitForText('[role=dialog]', 'is let go');
        $this->find('[role=dialog] .modal-acts button:last-child')->click();
        $this->waitForText('.notice-edit', 'The usual words hold here');
    }

    /** @param  list<array{string, string}>  $pages */
    #[DataProvider('narrow')]
    public function test_on_narrow_screens_nothing_lies_beyond_the_edge_and_nothing_is_hard_to_reach(string $who, array $pages): void
    {
        $narrow = fn (int $width): mixed => (new ChromeDevToolsDriver($this->browser))->execute('Emulation.setDeviceMetricsOverride', ['width' => $width, 'height' => 844, 'deviceScaleFactor' => 1, 'mobile' => true]);
        if ($who !== '') {
            $this->signIn($who);
        }
        foreach ($pages as [$path, $waitFor]) {
            $narrow(390);
            $this->visit($path);
            $this->find($waitFor);
            self::assertLessThanOrEqual(390, $this->browser->executeScript('return document.documentElement.scrollWidth'), $path);
            $this->assertNothingSerious($path);
            // As wide as a window of 1280 is at 400 %: titles were squeezed into a column of single letters there.
            $narrow(320);
            self::assertLessThanOrEqual(320, $this->browser->executeScript('return document.documentElement.scrollWidth'), $path);
            $this->inTheDark(true);
            $this->assertNothingSerious("{$path} in the dark");
            $this->inTheDark(false);
            self::assertSame([], $this->browser->executeScript("return [...document.querySelectorAll('a')].filter((a) => a.textContent.length > 3 && a.getBoundingClientRect().width > 1 && a.getBoundingClientRect().width < 24).map((a) => a.textContent)"), $path);
        }
    }

    /** @return array<string, array{string, list<array{string, string}>}> */
    public static function narrow(): array
    {
        return [
            'a visitor' => ['', [['/', '.card'], ['/courses/clinker', '.plan'], ['/courses/clinker/l-planes', '.notice h1'], ['/checkout/tools-only', '.simulated'], ['/sign-in', 'input[type=email]'], ['/courses/petrol', '.closing'], ['/courses/nothing', '.errorpage h1'], ['/g/'.str_repeat('0', 32), 'h1']]],
            'learners' => ['ragna', [['/courses', '.mine li'], ['/courses/clinker', '.path li'], ['/courses/clinker/l-steam', '.player'], ['/courses/clinker/l-timber', '.quiz'], ['/courses/clinker/b-marks', '.marks'], ['/courses/clinker/b-news', '.lesson h1'], ['/courses/clinker/l-launch', '.notice h1'], ['/account', 'main h1']]],
            'a discussion' => ['ask', [['/courses/steam-frames/b-bench', '.posts']]],
            'a calendar' => ['embla', [['/courses/winter-refit/b-dates', '.dates']]],
            'a long name' => ['malfrid', [['/courses/clinker/l-planes', '.notice h1'], ['/checkout/tools-only', '.simulated']]],
        ];
    }

    private function inTheDark(bool $dark): void
    {
        (new ChromeDevToolsDriver($this->browser))->execute('Emulation.setEmulatedMedia', ['features' => [['name' => 'prefers-color-scheme', 'value' => $dark ? 'dark' : 'light']]]);
    }

    private function waitUntil(string $condition): void
    {
        $this->browser->wait(30, 100)->until(fn (): bool => $this->browser->executeScript("return {$condition}") === true, $condition);
    }
}
