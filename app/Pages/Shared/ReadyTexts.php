<?php

declare(strict_types=1);

namespace App\Pages\Shared;

use App\Access\Kept;
use App\Words\SafeText;
use ReflectionClass;

/** Texts in Markdown as they are shown: to make a long lesson ready takes more than half as long as all the rest of its page, so it is kept. */
final readonly class ReadyTexts
{
    public function __construct(private Kept $kept)
    {
    }

    /**
     * @param  string  $place  one that is read with one page; what is kept there is made anew when a text is another one
     * @param  array<int, string>  $texts
     * @return array<int, string> by the same places
     */
    public function all(string $place, array $texts): array
    {
        $texts = array_filter($texts, static fn (string $text): bool => trim($text) !== '');
        $stamps = array_map(static fn (string $text): string => hash('sha256', self::making().$text), $texts);
        // One that was taken out is not kept on with those that are left.
        $ready = $texts === [] ? [] : $this->kept->all("texts:{$place}:".implode(' ', array_keys($texts)), ReadyText::class, $stamps, static fn (array $missing): array => array_map(
            static fn (string $text): ReadyText => new ReadyText(SafeText::html($text)),
            array_intersect_key($texts, array_flip($missing)),
        ));

        return array_map(static fn (ReadyText $text): string => $text->html, $ready);
    }

    public function one(string $place, string $text): string
    {
        return $this->all($place, [$text])[0] ?? '';
    }

    /** Of a lesson, a part or a board. */
    public function ofItem(int $course, string $item, string $text): string
    {
        return $this->one("of {$course} {$item}", $text);
    }

    /** What makes them: after an upgrade of it, or of a package, nothing is shown that an older one has made. */
    private static function making(): string
    {
        static $making = null;

        return $making ??= filemtime((string) (new ReflectionClass(SafeText::class))->getFileName()).' '.filemtime(base_path('vendor/composer/installed.php')).' ';
    }
}
