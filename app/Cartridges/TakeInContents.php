<?php

declare(strict_types=1);

namespace App\Cartridges;

use App\Files\LocalCopies;
use App\Learning\Contents\KeepMedium;
use App\Learning\Contents\WriteContent;
use App\Learning\Contents\Written;
use App\Models\Course;
use App\Models\Medium;
use App\Models\Person;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use SplFileInfo;

/**
 * Takes in what the lessons of a cartridge hold, some at a time, and goes on with the rest. A second time the same is taken once, and
 * what somebody has written meanwhile stays.
 */
final class TakeInContents implements ShouldQueue
{
    use Queueable;

    private const SECONDS = 2.0;

    /** Bytes of one file. */
    private const MOST_FILE = 512 * 1024 * 1024;

    private const MOST_PAGE = 2 * 1024 * 1024;

    public int $tries = 50;

    public int $maxExceptions = 3;

    /** @param  list<array{item: string, title: string, link: ?string, files: list<string>}>  $left */
    public function __construct(private readonly int $course, private readonly string $stored, private readonly array $left, private readonly int $author)
    {
    }

    public function handle(WriteContent $write, KeepMedium $keep, LocalCopies $files): void
    {
        $course = Course::query()->find($this->course);
        $author = Person::query()->find($this->author);
        if ($course === null || $author === null || ! Storage::exists($this->stored)) {
            Storage::delete($this->stored);

            return;
        }
        $file = CartridgeFile::open($files->path($this->stored));
        $begun = hrtime(true);
        foreach ($this->left as $index => $one) {
            if ($index > 0 && (hrtime(true) - $begun) / 1e9 > self::SECONDS) {
                self::dispatch($this->course, $this->stored, array_slice($this->left, $index), $this->author);

                return;
            }
            $this->take($one, $file, $course, $author, $write, $keep);
        }
        Storage::delete($this->stored);
    }

    /** Given up at last: the file need not be kept. */
    public function failed(): void
    {
        Storage::delete($this->stored);
    }

    /** @param  array{item: string, title: string, link: ?string, files: list<string>}  $one */
    private function take(array $one, CartridgeFile $file, Course $course, Person $author, WriteContent $write, KeepMedium $keep): void
    {
        $text = $one['link'] === null ? '' : "<{$one['link']}>";
        foreach ($one['files'] as $name) {
            $isPage = preg_match('/\.x?html?$/Di', $name) === 1;
            if (! $isPage && Medium::query()->where('course_id', $course->id)->where('item_key', $one['item'])->where('name', Str::limit(basename($name), 150, ''))->exists()) {
                continue;
            }
            $path = $file->copy($name, $isPage ? self::MOST_PAGE : self::MOST_FILE);
            if ($path === null) {
                continue;
            }
            try {
                if ($isPage) {
                    $text = trim($text."\n\n".PageText::of((string) file_get_contents($path)));
                } else {
                    $keep($course, $one['item'], new SplFileInfo($path), basename($name), $one['title'], null, $author);
                }
            } finally {
                unlink($path);
            }
        }
        if ($text !== '') {
            // Where something is written by now, that stays.
            $write($course, $one['item'], new Written($text), 0, $author);
        }
    }
}
