<?php

declare(strict_types=1);

namespace App\Standins\Mail;

use DateTimeImmutable;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/** Letters as they would arrive, in files (mbox) that are readable on the machine alone; `keep:letters` prints them. */
final class Postbox
{
    private const FOLDER = 'mail';

    /** @param  list<Letter>  $letters */
    public function put(array $letters, DateTimeImmutable $at): void
    {
        $line = static fn (string $text): string => str_replace(["\r", "\n"], ' ', $text);
        $mbox = '';
        foreach ($letters as $letter) {
            $mbox .= "From school@silent-keep.invalid {$at->format('D M d H:i:s Y')}\nDate: {$at->format(DATE_RFC2822)}\nTo: {$line($letter->to)}\nSubject: {$line($letter->subject)}\n\n".preg_replace('/^(>*From )/m', '>$1', $letter->body)."\n\n";
        }
        Storage::put(self::FOLDER.'/'.$at->format('Ymd-His').'-'.Str::ulid().'.mbox', $mbox, 'private');
    }

    /**
     * The newest first.
     *
     * @param  ?string  $to  an address; null: all
     * @return \Generator<int, string> with their heads
     */
    public function letters(?string $to = null): \Generator
    {
        foreach (array_reverse(Storage::files(self::FOLDER)) as $file) {
            $letters = preg_split('/^From [^\n]+\n/m', (string) Storage::get($file), flags: PREG_SPLIT_NO_EMPTY) ?: [];
            foreach (array_reverse($letters) as $letter) {
                if ($to === null || preg_match('/^To: '.preg_quote($to, '/').'$/mi', $letter) === 1) {
                    yield $letter;
                }
            }
        }
    }

    /** @return int how many files older than an instant are gone */
    public function clearBefore(int $instant): int
    {
        $gone = 0;
        foreach (Storage::files(self::FOLDER) as $file) {
            // By its name: the school's clock may go ahead of the machine's.
            if (substr(basename($file), 0, 15) < gmdate('Ymd-His', $instant)) {
                Storage::delete($file);
                $gone++;
            }
        }

        return $gone;
    }
}
