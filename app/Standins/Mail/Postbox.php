<?php

declare(strict_types=1);

namespace App\Standins\Mail;

use DateTimeImmutable;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Email;
use Symfony\Component\Mime\Header\UnstructuredHeader;

/** Letters as they would arrive, in files (mbox) that are readable on the machine alone; `keep:letters` prints them. */
final class Postbox
{
    private const FOLDER = 'mail';

    public function put(Email $letter, DateTimeImmutable $at): void
    {
        $line = static fn (string $text): string => str_replace(["\r", "\n"], ' ', $text);
        $heads = ['Date' => $at->format(DATE_RFC2822), 'To' => implode(', ', array_map(static fn (Address $to): string => $to->getAddress(), $letter->getTo())), 'Subject' => (string) $letter->getSubject()];
        foreach (['Message-ID', 'List-Unsubscribe', 'List-Unsubscribe-Post'] as $name) {
            $head = $letter->getHeaders()->get($name);
            $heads += $head === null ? [] : [$name => $head instanceof UnstructuredHeader ? $head->getValue() : $head->getBodyAsString()];
        }
        $body = $letter->getTextBody();
        $mbox = "From school@silent-keep.invalid {$at->format('D M d H:i:s Y')}\n".implode('', array_map(static fn (string $name, string $value): string => "{$name}: {$line($value)}\n", array_keys($heads), $heads))
            ."\n".preg_replace('/^(>*From )/m', '>$1', is_string($body) ? $body : '')."\n\n";
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

    /**
     * @param  callable(string): bool  $names  whether a letter, with its heads, names somebody
     * @return int how many letters that do are gone
     */
    public function clear(callable $names): int
    {
        $gone = 0;
        foreach (Storage::files(self::FOLDER) as $file) {
            if ($names((string) Storage::get($file))) {
                Storage::delete($file);
                $gone++;
            }
        }

        return $gone;
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
