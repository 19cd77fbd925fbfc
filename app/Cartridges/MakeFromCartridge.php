<?php

declare(strict_types=1);

namespace App\Cartridges;

use App\Drafts\MakeCourse;
use App\Files\LocalCopies;
use App\Models\Course;
use App\Models\Person;
use App\Words\Say;
use App\Words\Sentence;
use Illuminate\Support\Facades\Storage;

/** Makes a course of a cartridge, which nobody sees before it is published. What its lessons hold is taken in by the queue. */
final readonly class MakeFromCartridge
{
    /** Of what could not be taken, titles that are told of each kind. */
    private const TOLD = 5;

    public function __construct(private MakeCourse $make, private LocalCopies $files)
    {
    }

    /**
     * @param  string  $stored  where the file is kept; it is let go once all of it is taken in, or it is refused
     * @return array{Course, list<Sentence>} the course, and what could not be taken
     *
     * @throws NotACartridge
     */
    public function __invoke(string $stored, Person $author): array
    {
        try {
            $cartridge = ReadCartridge::from(CartridgeFile::open($this->files->path($stored)));
        } catch (NotACartridge $e) {
            Storage::delete($stored);
            throw $e;
        }
        $outline = new TakeOutline($cartridge);
        $course = ($this->make)($cartridge->title, null, $author, $outline);
        $left = [];
        foreach ($outline->leaves() as $key => $item) {
            if ($item->link !== null || $item->files !== []) {
                $left[] = ['item' => (string) $key, 'title' => $item->title, 'link' => $item->link, 'files' => $item->files];
            }
        }
        TakeInContents::dispatch($course->id, $stored, $left, $author->id);

        return [$course, self::told($cartridge)];
    }

    /** @return list<Sentence> */
    private static function told(Cartridge $cartridge): array
    {
        $titles = [];
        foreach ($cartridge->left as $one) {
            $titles[$one['what']][] = $one['title'];
        }
        $sentences = [];
        foreach ($titles as $what => $of) {
            $more = count($of) - self::TOLD;
            $sentences[] = Sentence::say("files.cartridge.left.{$what}", ['count' => count($of), 'more' => $more > 0 ? Say::text('files.cartridge.more', ['more' => $more]) : ''], ['titles' => array_slice($of, 0, self::TOLD)]);
        }

        return $sentences;
    }
}
