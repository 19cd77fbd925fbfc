<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Import;
use App\People\Import\CsvPeople;
use App\People\Import\ImportInParts;
use App\People\Import\NotReadable;
use App\People\Import\ReadPeopleFile;
use App\People\Import\StagedImport;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Storage;

final class ImportPeopleCommand extends Command
{
    private const NOBODY = 'Nobody was brought in.';

    protected $signature = 'keep:import-people {file : CSV with a head: name, email, labels, offer, start} {--offer= : for rows that name none} {--label=* : for every row}';

    protected $description = 'Bring people in from a CSV file: all of them, or nobody';

    public function handle(ReadPeopleFile $read, ImportInParts $bringing, StagedImport $staged): int
    {
        $path = (string) $this->argument('file');
        if (! is_readable($path)) {
            $this->error("{$path} cannot be read.");

            return self::FAILURE;
        }
        $stream = fopen($path, 'r');
        $stored = 'imports/'.bin2hex(random_bytes(12));
        Storage::put($stored, $stream === false ? '' : $stream);
        [, $head] = CsvPeople::look($path);
        $start = hrtime(true);
        $options = ['columns' => CsvPeople::guess($head), 'offer' => $this->option('offer'), 'labels' => $this->option('label')];
        $import = $read->begin('csv', basename($path), $stored, [], null);
        try {
            $read->from($import, $options);
            $this->readAll($read, $import);
            $staged->begin($import);
            while ($bringing->goOn($import, 10.0)) {
                // Until everybody is written to.
            }
            if ($import->refresh()->state !== 'done') {
                throw new NotReadable($import->problem ?? self::NOBODY);
            }
        } catch (NotReadable $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        } finally {
            Storage::delete($stored);
        }
        $seconds = (hrtime(true) - $start) / 1e9;
        $this->line((string) json_encode($import->tally));
        $this->line(sprintf('%d rows, %.0f a second, at most %.0f MB of memory', $import->rows, $import->rows / $seconds, memory_get_peak_usage(true) / 1048576));

        return self::SUCCESS;
    }

    /** @throws NotReadable after a line for each that is */
    private function readAll(ReadPeopleFile $read, Import $import): void
    {
        while ($import->state === 'reading') {
            $read->read($import);
        }
        if ($import->state !== 'ready') {
            foreach ($import->errors as $error) {
                $this->error("Line {$error['line']}: {$error['message']}.");
            }
            throw new NotReadable(self::NOBODY);
        }
    }
}
