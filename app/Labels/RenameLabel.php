<?php

declare(strict_types=1);

namespace App\Labels;

use App\Database\Dialects;
use App\Drafts\DraftConflict;
use App\Drafts\LabelInDraft;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Draft;
use App\Models\Offer;
use App\Models\Person;
use App\Models\SavedFilter;
use App\Models\Trigger;
use App\Models\VantageSet;
use App\Publishing\Proposal;
use App\Publishing\PublishRevision;
use App\School\Log\ActivityLog;
use App\Words\Say;
use Illuminate\Support\Facades\DB;

/**
 * Calls a label by another name wherever it is named: with people, in what is live and what is drafted, at offers, in triggers, and
 * in filters and vantages that somebody keeps. Nobody gains or loses by it, unless the name is another label's: then the two are one.
 */
final readonly class RenameLabel
{
    /** So often is it begun anew where somebody published or edited meanwhile. */
    private const TRIES = 10;

    public function __construct(private LabelUses $uses, private PublishRevision $publish, private LabelInDraft $drafts, private LabelsOfPeople $people, private ActivityLog $log)
    {
    }

    /**
     * @param  bool  $together  whether it may become one with another label; false: the name must be free
     * @return bool whether it became one with another
     *
     * @throws CannotRename if there is no such label any more, or the name is taken
     * @throws DraftConflict if others publish faster than this can be done
     */
    public function __invoke(string $from, string $to, bool $together, Person $author): bool
    {
        for ($try = 1; ; $try++) {
            $known = $this->uses->all();
            if (! isset($known[$from])) {
                throw CannotRename::gone($from);
            }
            $taken = isset($known[$to]);
            if ($taken && ! $together) {
                throw CannotRename::taken($to);
            }
            try {
                $this->once($from, $to, $taken, $author);

                return $taken;
            } catch (DraftConflict $conflict) {
                if ($try === self::TRIES) {
                    throw $conflict;
                }
            }
        }
    }

    /** @throws DraftConflict */
    private function once(string $from, string $to, bool $merges, Person $author): void
    {
        // What is read much is read before the lock.
        $proposals = [];
        foreach (self::naming(Course::query()->with('liveRevision'), 'liveRevision', $from) as $course) {
            $document = (string) $course->liveRevision?->document;
            $proposals[] = Proposal::file($course, CourseDocument::fromJson(LabelInDraft::rename($document, $from, $to)));
        }
        $note = Say::text($merges ? 'school_told.labels.note.merged' : 'school_told.labels.note.renamed', ['from' => $from, 'to' => $to]);
        DB::transaction(function () use ($from, $to, $merges, $author, $proposals, $note): void {
            foreach ($proposals as $proposal) {
                if (! $proposal->saysNothingNew()) {
                    ($this->publish)($proposal, $note, $author);
                }
            }
            foreach (Draft::query()->whereRaw(Dialects::spoken()->contains('document', '?'), [self::quoted($from)])->get() as $draft) {
                ($this->drafts)($draft, $from, $to, $author);
            }
            $people = $this->people->rename($from, $to);
            Offer::query()->where('only_label', $from)->update(['only_label' => $to]);
            foreach (Trigger::query()->get() as $trigger) {
                $spec = LabelInTrigger::rename($trigger->spec, $from, $to);
                if ($spec !== $trigger->spec) {
                    $trigger->update(['spec' => $spec, 'version' => $trigger->version + 1]);
                }
            }
            self::kept($from, $to);
            $this->log->note('label.renamed', $author, before: ['label' => $from], after: ['label' => $to, 'people' => $people, 'merged' => $merges]);
        });
    }

    /**
     * @param  \Illuminate\Database\Eloquent\Builder<Course>  $courses
     * @return iterable<Course> whose rules name it
     */
    private static function naming(\Illuminate\Database\Eloquent\Builder $courses, string $in, string $label): iterable
    {
        return $courses->whereHas($in, static fn ($query) => $query->whereRaw(Dialects::spoken()->contains('document', '?'), [self::quoted($label)]))->orderBy('id')->get();
    }

    /** As documents write it. */
    private static function quoted(string $label): string
    {
        return json_encode($label, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    /** In what somebody keeps for themselves. */
    private static function kept(string $from, string $to): void
    {
        foreach (SavedFilter::query()->where('query', 'like', '%label=%')->get() as $filter) {
            parse_str($filter->query, $fields);
            if (($fields['label'] ?? null) === $from) {
                $filter->update(['query' => http_build_query(['label' => $to] + $fields)]);
            }
        }
        foreach (VantageSet::query()->where('vantages', 'like', '%labelled:%')->get() as $set) {
            $named = static fn (array $found): string => implode(',', array_unique(array_map(static fn (string $label): string => rawurldecode($label) === $from ? rawurlencode($to) : $label, explode(',', $found[0]))));
            $set->update(['vantages' => array_map(static fn (string $one): string => preg_replace_callback('/(?<=labelled:)[^:]+/', $named, $one) ?? $one, $set->vantages)]);
        }
    }
}
