<?php

declare(strict_types=1);

namespace App\Learning\Contents;

use App\Models\Content;
use App\Models\ContentVersion;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\FormerItem;
use App\Models\Medium;
use App\Models\RelatedOffer;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/**
 * Lets go of what items held that were taken out of their course, once it can be taken for certain that nobody wants them back.
 * What people did there (finished, answered, said) is theirs, and stays.
 */
final readonly class LetContentsGo
{
    /** Days for which it is kept. */
    public const KEPT = 30;

    private const HOLD = [Content::class, ContentVersion::class, Medium::class, RelatedOffer::class];

    public function __construct(private ClockInterface $clock)
    {
    }

    /** @return int of how many items */
    public function __invoke(): int
    {
        $now = $this->clock->now()->getTimestamp();
        $gone = 0;
        foreach (Course::query()->with(['liveRevision', 'draft'])->lazyById(50) as $course) {
            $there = self::there($course);
            $this->notice($course, $there, $now);
            foreach (FormerItem::query()->where('course_id', $course->id)->whereNull('let_go_at')->where('taken_out_at', '<', gmdate('Y-m-d H:i:s', $now - self::KEPT * 86400))->get() as $former) {
                // A draft may bring it back.
                if (! isset($there[$former->item_key])) {
                    $gone += self::letGo($former, $now) ? 1 : 0;
                }
            }
        }

        return $gone;
    }

    /** @return array<array-key, mixed> what is live or drafted, by key */
    private static function there(Course $course): array
    {
        $there = [];
        foreach ([$course->liveRevision?->document, $course->draft?->document] as $document) {
            $there += $document === null ? [] : CourseDocument::fromJson($document)->readItems();
        }

        return $there;
    }

    /**
     * What was taken out of a draft before it ever went live begins to wait when it is seen here first.
     *
     * @param  array<array-key, mixed>  $there
     */
    private function notice(Course $course, array $there, int $now): void
    {
        $holding = Content::query()->where('course_id', $course->id)->select('item_key')->union(Medium::query()->where('course_id', $course->id)->select('item_key'))->toBase()->pluck('item_key');
        $known = $there + array_fill_keys(FormerItem::query()->where('course_id', $course->id)->get('item_key')->map(static fn (FormerItem $former): string => $former->item_key)->all(), true);
        foreach (array_chunk(array_filter($holding->all(), static fn (mixed $key): bool => is_string($key) && ! isset($known[$key])), 200) as $keys) {
            FormerItem::query()->insertOrIgnore(array_map(static fn (mixed $key): array => ['course_id' => $course->id, 'item_key' => $key, 'taken_out_at' => gmdate('Y-m-d H:i:s', $now)], $keys));
        }
    }

    /** @return bool false where it was brought back meanwhile */
    private static function letGo(FormerItem $former, int $now): bool
    {
        $files = DB::transaction(static function () use ($former, $now): ?array {
            if (FormerItem::query()->whereKey($former->id)->whereNull('let_go_at')->update(['let_go_at' => gmdate('Y-m-d H:i:s', $now)]) === 0) {
                return null;
            }
            $files = Medium::query()->where('course_id', $former->course_id)->where('item_key', $former->item_key)->get(['path', 'poster'])->flatMap(static fn (Medium $medium): array => [$medium->path, $medium->poster])->all();
            foreach (self::HOLD as $what) {
                $what::query()->where('course_id', $former->course_id)->where('item_key', $former->item_key)->delete();
            }

            return $files;
        });
        MediaFiles::letGo(...$files ?? []);

        return $files !== null;
    }
}
