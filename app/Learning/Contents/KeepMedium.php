<?php

declare(strict_types=1);

namespace App\Learning\Contents;

use App\Database\Value;
use App\Models\Course;
use App\Models\Medium;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/** Puts pictures, recordings, videos and files into an item, and takes them out. */
final readonly class KeepMedium
{
    public function __construct(private ActivityLog $log)
    {
    }

    /**
     * @param  string  $name  of the file, as whoever put it in calls it
     * @param  ?float  $seconds  how long it plays, where it does
     */
    public function __invoke(Course $course, string $item, \SplFileInfo $file, string $name, string $title, ?float $seconds, Person $author): Medium
    {
        $type = MediumType::of((string) $file->getRealPath());
        $size = $type->kind === 'image' ? @getimagesize((string) $file->getRealPath()) : false;
        // Where nothing of what was uploaded is in the name, nothing of it can do harm.
        $path = 'media/'.Str::lower((string) Str::ulid());
        $stream = fopen((string) $file->getRealPath(), 'rb');
        Storage::writeStream($path, $stream === false ? throw new \RuntimeException('The file that was put in is gone.') : $stream);
        try {
            return DB::transaction(function () use ($course, $item, $file, $name, $title, $seconds, $author, $type, $size, $path): Medium {
                $medium = Medium::query()->create([
                    'course_id' => $course->id, 'item_key' => $item, 'kind' => $type->kind, 'title' => $title, 'name' => Str::limit(basename($name), 150, ''), 'path' => $path,
                    'type' => $type->type, 'bytes' => (int) $file->getSize(), 'seconds' => in_array($type->kind, ['audio', 'video'], true) ? $seconds : null,
                    'width' => $size[0] ?? null, 'height' => $size[1] ?? null,
                    'position' => 1 + Value::int(Medium::query()->where('course_id', $course->id)->where('item_key', $item)->max('position')),
                ]);
                $this->log->note('medium.kept', $author, $course, after: ['item' => $item, 'title' => $title, 'kind' => $type->kind]);

                return $medium;
            });
        } catch (\Throwable $e) {
            Storage::delete($path);
            throw $e;
        }
    }

    /** False where it is not there any more. */
    public function takeOut(Course $course, string $item, int $id, Person $author): bool
    {
        $medium = Medium::query()->where('course_id', $course->id)->where('item_key', $item)->find($id);
        if ($medium === null) {
            return false;
        }
        DB::transaction(function () use ($medium, $course, $item, $author): void {
            $medium->delete();
            $this->log->note('medium.taken-out', $author, $course, before: ['item' => $item, 'title' => $medium->title, 'kind' => $medium->kind]);
        });
        MediaFiles::letGo($medium->path, $medium->poster);

        return true;
    }

    /** @param  -1|1  $way  up or down among what the item holds */
    public function move(Course $course, string $item, int $id, int $way): void
    {
        DB::transaction(function () use ($course, $item, $id, $way): void {
            $all = Medium::query()->where('course_id', $course->id)->where('item_key', $item)->orderBy('position')->orderBy('id')->get()->values();
            $from = $all->search(static fn (Medium $medium): bool => $medium->id === $id);
            $ids = $all->pluck('id')->all();
            if ($from === false || ! isset($ids[$from + $way])) {
                return;
            }
            [$ids[$from], $ids[$from + $way]] = [$ids[$from + $way], $ids[$from]];
            foreach ($ids as $position => $one) {
                Medium::query()->whereKey($one)->update(['position' => $position]);
            }
        });
    }
}
