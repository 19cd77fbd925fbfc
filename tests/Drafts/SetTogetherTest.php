<?php

declare(strict_types=1);

namespace Tests\Drafts;

use App\Models\DraftEdit;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** Several rules in one edit, as a selection of cells is filled, pasted or emptied. */
final class SetTogetherTest extends TestCase
{
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /**
     * @param  list<array<string, mixed>>  $sets
     * @return TestResponse<Response>
     */
    private function together(int $version, array $sets): TestResponse
    {
        return $this->post('/keep/courses/clinker/draft/edits', ['version' => $version, 'sets' => $sets]);
    }

    public function test_they_are_one_edit_and_one_undo(): void
    {
        $this->together(0, [
            ['set' => 'opens', 'plan' => 'weekly', 'items' => ['m-tools', 'm-planks'], 'rule' => 'after_start', 'days' => 3, 'time' => '09:00'],
            ['set' => 'sample', 'items' => ['l-timber'], 'value' => 'yes'],
            ['set' => 'only', 'items' => ['l-timber'], 'value' => ['label' => 'cohort-b']],
            ['set' => 'rules', 'from' => 'l-bonus', 'items' => ['l-steam']],
        ])->assertSessionHasNoErrors();

        self::assertSame(1, DraftEdit::query()->count());
        self::assertSame(3, $this->document()->read()->time('weekly', 'm-tools', 'opens')?->days());
        self::assertTrue($this->item('l-timber')->sample);
        self::assertEquals((object) ['label' => 'oar-bonus'], $this->item('l-steam')->only);

        $this->post('/keep/courses/clinker/draft/undo', ['version' => 1]);
        self::assertFalse(isset($this->item('l-timber')->only));
        self::assertSame(7, $this->document()->read()->time('weekly', 'm-tools', 'opens')?->days());
    }

    public function test_one_that_is_wrong_leaves_all_undone_and_is_told(): void
    {
        $good = ['set' => 'sample', 'items' => ['l-timber'], 'value' => 'yes'];
        foreach ([
            [['set' => 'opens', 'plan' => 'weekly', 'items' => ['m-tools'], 'rule' => 'on', 'at' => '2026-02-31T09:00'], 'This is not a date and time.'],
            [['set' => 'opens', 'plan' => 'weekly', 'items' => ['m-tools'], 'rule' => 'after_start'], 'Please say after how many days.'],
            [['set' => 'only', 'items' => ['l-steam'], 'value' => ['label' => ' ']], 'Please type a label.'],
            [['set' => 'finish', 'items' => ['l-steam'], 'by' => 'watch', 'percent' => 0], 'At least one percent must be watched.'],
            [['set' => 'nonsense', 'items' => ['l-steam']], null],
        ] as [$wrong, $message]) {
            $answer = $this->together(0, [$good, $wrong])->assertSessionHasErrors('rule');
            if ($message !== null) {
                $answer->assertSessionHasErrors(['rule' => $message]);
            }
        }
        $this->together(0, [])->assertSessionHasErrors('sets');
        // What the core alone can tell.
        $this->together(0, [$good, ['set' => 'after', 'items' => ['l-timber'], 'mode' => 'all', 'of' => ['nowhere'], 'count' => null, 'inOrder' => false]])->assertSessionHasErrors('rule');
        // A row that somebody has taken out.
        $this->together(0, [$good, ['set' => 'sample', 'items' => ['gone'], 'value' => 'yes']]);
        self::assertStringContainsString('gone', $this->refusal());

        self::assertSame(0, DraftEdit::query()->count());
    }

    public function test_what_others_set_in_the_same_cells_is_shown_beside_it(): void
    {
        $this->together(0, [['set' => 'sample', 'items' => ['l-timber'], 'value' => 'yes']]);
        $this->actingAs($this->secondAdministrator());
        $this->together(0, [['set' => 'guests', 'items' => ['l-steam'], 'value' => 'yes'], ['set' => 'sample', 'items' => ['l-timber', 'l-steam'], 'value' => 'yes']]);
        self::assertSame(1, DraftEdit::query()->count());
        $this->together(1, [['set' => 'guests', 'items' => ['l-steam'], 'value' => 'yes']])->assertSessionHasNoErrors();
        self::assertSame(2, DraftEdit::query()->count());
    }

    private function refusal(): string
    {
        $flash = session('flash');

        return is_array($flash) ? json_encode($flash, JSON_THROW_ON_ERROR) : '';
    }
}
