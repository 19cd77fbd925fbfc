<?php

declare(strict_types=1);

namespace App\Privacy\Erasing;

use App\Files\LocalCopies;
use App\Models\ErasedPerson;
use App\Models\Import;
use App\People\Import\LetUploadGo;
use App\Standins\Mail\Postbox;
use Illuminate\Support\Facades\Storage;
use ZipArchive;

/** Files in which somebody is named: letters as they went out, lists that were uploaded, and what the program has written into its log. */
final readonly class TracesInFiles
{
    /** Bytes of a log that are looked through at once. */
    private const PIECE = 1 << 20;

    private const AT_WORK = ['reading', 'bringing in', 'taking back'];

    public function __construct(private Postbox $postbox, private LetUploadGo $letGo, private LocalCopies $copies)
    {
    }

    /** @return bool whether all of it is done: a list that is being read or brought in has to come to its end first */
    public function remove(ErasedPerson $erased, Sought $sought): bool
    {
        $letters = $this->postbox->clear($sought->isIn(...));
        $whole = true;
        $lists = 0;
        foreach (Import::query()->where('path', '!=', '')->orderBy('id')->get() as $import) {
            if (! $this->names($import->path, $sought)) {
                continue;
            }
            if (in_array($import->state, self::AT_WORK, true)) {
                $whole = false;

                continue;
            }
            ($this->letGo)($import);
            $lists++;
        }
        Gone::count($erased, 'files', $letters + $lists);
        Gone::count($erased, 'log', array_sum(array_map(static fn (string $log): int => self::blot($log, $sought), glob(storage_path('logs/*.log')) ?: [])));

        return $whole;
    }

    /** Tables of spreadsheet programs and bundles are ZIP files. */
    private function names(string $path, Sought $sought): bool
    {
        if (! Storage::exists($path)) {
            return false;
        }
        $zip = new ZipArchive;
        if ($zip->open($this->copies->path($path), ZipArchive::RDONLY) !== true) {
            // A list in two bytes a letter has a zero in each of those that an address is made of.
            return $sought->isIn(str_replace("\0", '', (string) Storage::get($path)));
        }
        for ($entry = 0; $entry < $zip->numFiles; $entry++) {
            if ($sought->isIn((string) $zip->getFromIndex($entry))) {
                return true;
            }
        }

        return false;
    }

    /** Others go on writing to its end meanwhile, so each place is written over where it stands. @return int places */
    private static function blot(string $log, Sought $sought): int
    {
        $file = @fopen($log, 'r+b');
        if ($file === false) {
            return 0;
        }
        $places = 0;
        $forms = $sought->anywhere();
        $overlap = max([0, ...array_map(strlen(...), $forms)]);
        for ($at = 0; is_string($piece = stream_get_contents($file, self::PIECE + $overlap, $at)) && $piece !== ''; $at += self::PIECE) {
            foreach ($forms as $form) {
                for ($from = 0; ($found = stripos($piece, $form, $from)) !== false; $from = $found + strlen($form)) {
                    fseek($file, $at + $found);
                    fwrite($file, str_repeat('-', strlen($form)));
                    $places++;
                }
            }
        }
        fclose($file);

        return $places;
    }
}
