<?php

declare(strict_types=1);

namespace App\Learning\Contents;

use App\Models\Course;
use App\Models\Medium;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use SplFileInfo;

/** Changes what stands around a medium: its title, what is said in it, what stands there before it plays. It holds at once. */
final readonly class DescribeMedium
{
    public function __construct(private ActivityLog $log)
    {
    }

    /**
     * @param  ?Captions  $captions  null: as they are
     * @param  ?SplFileInfo  $poster  likewise
     * @return bool false where the medium is not there any more
     */
    public function __invoke(Course $course, string $item, int $id, string $title, ?Captions $captions, string $language, ?SplFileInfo $poster, Person $author): bool
    {
        $kept = $poster === null ? [] : self::keep($poster);
        try {
            $old = DB::transaction(function () use ($course, $item, $id, $title, $captions, $language, $kept, $author): string|false|null {
                $medium = Medium::query()->where('course_id', $course->id)->where('item_key', $item)->find($id);
                if ($medium === null) {
                    return false;
                }
                [$before, $old] = [$medium->title, $medium->poster];
                $medium->update(['title' => $title, ...($captions === null ? [] : ['captions' => $captions->text, 'captions_language' => $language]), ...$kept]);
                $this->log->note('medium.changed', $author, $course, before: ['item' => $item, 'title' => $before], after: ['item' => $item, 'title' => $title, 'captions' => $medium->captions !== null, 'poster' => $medium->poster !== null]);

                return $kept === [] ? null : $old;
            });
        } catch (\Throwable $e) {
            Storage::delete(array_filter([$kept['poster'] ?? null]));
            throw $e;
        }
        MediaFiles::letGo($old === false ? $kept['poster'] ?? null : $old);

        return $old !== false;
    }

    /** Takes away what is said in it, or what stands there before it plays. */
    public function without(Course $course, string $item, int $id, string $what, Person $author): bool
    {
        $old = DB::transaction(function () use ($course, $item, $id, $what, $author): ?string {
            $medium = Medium::query()->where('course_id', $course->id)->where('item_key', $item)->findOrFail($id);
            $old = $what === 'poster' ? $medium->poster : null;
            $medium->update($what === 'poster' ? ['poster' => null, 'poster_type' => null] : ['captions' => null, 'captions_language' => null]);
            $this->log->note('medium.changed', $author, $course, before: ['item' => $item, 'title' => $medium->title, $what => true], after: ['item' => $item, 'title' => $medium->title, $what => false]);

            return $old;
        });
        MediaFiles::letGo($old);

        return true;
    }

    /** @return array{poster: string, poster_type: string} */
    private static function keep(SplFileInfo $poster): array
    {
        $path = 'media/'.Str::lower((string) Str::ulid());
        $stream = fopen((string) $poster->getRealPath(), 'rb');
        Storage::writeStream($path, $stream === false ? throw new \RuntimeException('The file that was put in is gone.') : $stream);

        return ['poster' => $path, 'poster_type' => MediumType::of((string) $poster->getRealPath())->type];
    }
}
