<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Drafts\EditDraft;
use App\Drafts\Edits\Edit;
use App\Drafts\Edits\SetField;
use App\Drafts\Edits\SetTime;
use App\Learning\Contents\WriteContent;
use App\Learning\Contents\Written;
use App\Learning\Letters\WriteDueLetters;
use App\Models\Content;
use App\Models\Course;
use App\Models\CourseFace;
use App\Models\Document\DocumentTime;
use App\Models\Draft;
use App\Models\LetterText;
use App\Models\ObserverTie;
use App\Models\Person;
use App\Models\Role;
use App\Publishing\Proposal;
use App\Publishing\PublishRevision;
use App\Publishing\SetPublication;
use App\School\Letters\LetterKind;
use App\School\Pictures\KeepPicture;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** What two years have left in the demo school: several authors, drafts under way, a publication to come, people who were here. */
final readonly class DemoYears
{
    public function __construct(private ClockInterface $clock, private EditDraft $edit, private PublishRevision $publish, private SetPublication $set, private WriteContent $write, private KeepPicture $pictures, private WriteDueLetters $due)
    {
    }

    public function run(): void
    {
        $now = CarbonImmutable::instance($this->clock->now())->setTimezone('Europe/Oslo');
        $hege = self::person('hege');
        $torunn = Person::query()->create(['name' => 'Torunn Hauge', 'email' => 'torunn@alder.test', 'password' => $hege->password, 'role' => Role::Administrator]);
        // Revisions stay as they were published; of these nobody has heard yet.
        DB::table('revisions')->update(['published_at' => $now->modify('-760 days')->utc()->format('Y-m-d H:i:s'), 'author_id' => $hege->id]);
        $this->pictures($hege);
        $this->history($now, $hege, $torunn);
        $this->drafts($now, $hege, $torunn);
        $this->visits($now);
        $this->quiz($hege);
        $this->letters($now);
        $mother = Person::query()->create(['name' => 'Signe Holm', 'email' => 'signe@alder.test', 'password' => $hege->password]);
        ObserverTie::query()->create(['observer_id' => $mother->id, 'learner_id' => self::person('eira')->id]);
    }

    private function pictures(Person $author): void
    {
        $clinker = self::course('clinker');
        $hull = ($this->pictures)(database_path('demo/media/hull.png'), 'A pram in clinker on its stand in the shed', $author);
        CourseFace::query()->where('course_id', $clinker->id)->update(['cover' => $hull->token, 'focus_x' => 47, 'focus_y' => 55]);
        $bench = ($this->pictures)(database_path('demo/media/bench.png'), 'A plane and a chisel on the bench', $author);
        Content::query()->where('course_id', $clinker->id)->where('item_key', 'm-tools')->update(['cover' => json_encode(['token' => $bench->token, 'x' => 50, 'y' => 62])]);
    }

    private function history(CarbonImmutable $now, Person $hege, Person $torunn): void
    {
        $this->published($now->modify('-640 days 16:20'), 'clinker', new SetField('sample', ['l-timber'], true), 'For the open day', $torunn);
        $this->published($now->modify('-633 days 08:05'), 'clinker', new SetField('sample', ['l-timber'], null), 'After the open day', $hege);
        $this->published($now->modify('-290 days 10:40'), 'clinker', new SetTime('opens', 'weekly', ['m-planks'], self::time(['rule' => 'after_start', 'days' => 21])), 'More time for the tools', $torunn);
        self::at($now->modify('-283 days 09:15'), fn () => ($this->publish)(Proposal::backTo(self::course('clinker'), self::course('clinker')->revisions()->where('number', 3)->firstOrFail()), 'Too slow for the evenings', $hege));
        $planes = Content::query()->where('course_id', self::course('clinker')->id)->where('item_key', 'l-planes')->firstOrFail();
        $new = Written::of($planes);
        self::at($now->modify('-700 days 19:30'), fn () => $planes->update(['text' => "Flatten the sole on glass, corner to corner.\n\n1. Back off the frog.\n2. Close the mouth.", 'written_by' => $torunn->id]));
        self::at($now->modify('-20 days 20:10'), function () use ($new, $hege): void {
            $this->write->draft(self::course('clinker'), 'l-planes', $new, 0, $hege);
            ($this->publish)(Proposal::draft(self::course('clinker'), self::draft('clinker')), 'How to set the mouth', $hege);
        });
    }

    private function drafts(CarbonImmutable $now, Person $hege, Person $torunn): void
    {
        self::at($now->modify('-1 day 16:10'), fn () => ($this->edit)(self::course('steam-frames'), 0, new SetTime('opens', 'fortnightly', ['m-fit'], self::time(['rule' => 'after_previous', 'days' => 21, 'time' => '08:00', 'weekday' => 1])), $torunn));
        $heat = Content::query()->where('course_id', self::course('steam-frames')->id)->where('item_key', 'l-heat')->firstOrFail();
        self::at($now->modify('-3 hours'), fn () => $this->write->draft(self::course('steam-frames'), 'l-heat', new Written("Pack the ends with wet rag and keep the kettle rolling.\n\nAn hour for every inch, and ten minutes for luck.", minutes: $heat->minutes), 0, $hege));
        self::at($now->modify('-2 days 11:25'), fn () => ($this->edit)(self::course('winter-refit'), 0, new SetTime('opens', 'season', ['m-paint'], self::time(['rule' => 'on', 'at' => $now->modify('+8 days 08:00')->format('Y-m-d\TH:i')])), $hege));
        ($this->set)(self::course('winter-refit'), self::draft('winter-refit')->version, $now->modify('+2 days 07:00')->getTimestamp(), null, 'The paint is here early', $hege);
    }

    /** As the schedule wrote them yesterday, and a little while ago. */
    private function letters(CarbonImmutable $now): void
    {
        LetterText::query()->whereIn('kind', [LetterKind::PassGiven->value, LetterKind::EndsSoon->value, LetterKind::Ended->value])->update(['since' => $now->modify('-3 days')->utc()->format('Y-m-d H:i:s')]);
        self::at($now->modify('-1 day 10:00'), fn () => ($this->due)());
        self::at($now->modify('-10 minutes'), fn () => ($this->due)());
    }

    private function quiz(Person $author): void
    {
        $timber = Content::query()->where('course_id', self::course('clinker')->id)->where('item_key', 'l-timber')->firstOrFail();
        $bands = [['from' => 0, 'name' => 'Once more', 'words' => 'Read of the rings again, and try.'], ['from' => 67, 'name' => 'Ready for the bench', 'words' => '']];
        ($this->write)(self::course('clinker'), 'l-timber', new Written($timber->text, $timber->quiz, ['tries' => 3, 'wait' => 10, 'shuffle' => false, 'bands' => $bands], $timber->board, $timber->minutes), $timber->version, $author);
    }

    /** Who looked at what, how many hours ago. */
    private function visits(CarbonImmutable $now): void
    {
        foreach ([['eira', 'clinker', 'l-planes', 26], ['sunniva', 'clinker', 'l-welcome', 22], ['ragna', 'clinker', 'l-steam', 20], ['jorunn', 'clinker', 'l-advanced', 27], ['solveig', 'clinker', 'l-timber', 3], ['marius', 'clinker', 'l-planes', 25], ['ask', 'steam-frames', 'l-heat', 21], ['mathea', 'steam-frames', 'b-bench', 24], ['embla', 'winter-refit', 'l-pay', 19]] as [$who, $course, $item, $hours]) {
            $at = $now->modify("-{$hours} hours")->utc()->format('Y-m-d H:i:s');
            $person = self::person($who);
            DB::table('looks')->insert(['person_id' => $person->id, 'course_id' => self::course($course)->id, 'item_key' => $item, 'via' => 'pass', 'first_at' => $at, 'last_at' => $at]);
            DB::table('people')->where('id', $person->id)->update(['seen_at' => $at]);
        }
    }

    private function published(CarbonImmutable $when, string $course, Edit $edit, string $note, Person $author): void
    {
        self::at($when, function () use ($course, $edit, $note, $author): void {
            ($this->edit)(self::course($course), 0, $edit, $author);
            ($this->publish)(Proposal::draft(self::course($course), self::draft($course)), $note, $author);
        });
    }

    /**
     * As if it were then: what is done writes down when.
     *
     * @param  Closure(): mixed  $do
     */
    private static function at(CarbonImmutable $when, Closure $do): void
    {
        CarbonImmutable::withTestNow($when, static function () use ($do): bool {
            $do();

            return true;
        });
    }

    private static function course(string $key): Course
    {
        return Course::query()->with('liveRevision')->where('key', $key)->firstOrFail();
    }

    private static function draft(string $course): Draft
    {
        return Draft::query()->where('course_id', self::course($course)->id)->firstOrFail();
    }

    private static function person(string $name): Person
    {
        return Person::query()->where('email', "{$name}@alder.test")->firstOrFail();
    }

    /** @param  array<string, string|int>  $rule  as the plan format has it */
    private static function time(array $rule): DocumentTime
    {
        return DocumentTime::from($rule);
    }
}
