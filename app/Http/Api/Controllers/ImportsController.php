<?php

declare(strict_types=1);

namespace App\Http\Api\Controllers;

use App\Access\WhoLooks;
use App\Files\LocalCopies;
use App\Http\Api\Document\Operation;
use App\Http\Api\Problems\Problem;
use App\Http\Api\Problems\ProblemKind;
use App\Http\Api\Reading\Asked;
use App\Http\Api\Reading\Body;
use App\Http\Api\Reading\KeptBody;
use App\Http\Api\Reading\Parameter;
use App\Models\Import;
use App\Models\Offer;
use App\Pages\Api\Formats\ImportTold;
use App\Pages\Api\Formats\TextFile;
use App\People\Import\Back\TakeImportBack;
use App\People\Import\ContinueReading;
use App\People\Import\CsvPeople;
use App\People\Import\Endings;
use App\People\Import\FileKind;
use App\People\Import\ImportPeople;
use App\People\Import\NotReadable;
use App\People\Import\ReadPeopleFile;
use App\People\Import\Roster\RosterPeople;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Storage;

/** Files of people: CSV, and OneRoster 1.1 as a bundle of CSV. */
final readonly class ImportsController
{
    /** Bytes. */
    private const LARGEST = 104_857_600;

    private const CSV = 'text/csv';

    private const BUNDLE = 'application/zip';

    public function __construct(private ReadPeopleFile $read, private LocalCopies $files)
    {
    }

    #[Operation('Reads a file of people', answers: ImportTold::class, status: 202, takes: TextFile::class, takesType: self::CSV, says: 'CSV, whose columns are known by their heads, or a OneRoster bundle (`application/zip`). Nobody is brought in before that is asked for.', headers: ['Location'])]
    #[Parameter('name', 'Of the file. Left out: that of its kind.')]
    #[Parameter('offer', 'Key of the offer for those for whom the file names none.')]
    #[Parameter('labels', 'For everybody in it, with commas between them.')]
    #[Parameter('classes', 'Of a bundle: which class is which offer, as CLASS=OFFER, with spaces between them. Other classes are passed over.')]
    #[Parameter('endings', 'Of a bundle: `left`, and nothing ends by it. Otherwise passes end that files gave to whoever is enrolled no more.')]
    public function store(Request $request): JsonResponse
    {
        $asked = Asked::of($request);
        Body::type($request, self::CSV, self::BUNDLE);
        $path = KeptBody::of($request, self::LARGEST);
        try {
            $isBundle = FileKind::of($this->files->path($path)) === 'oneroster';
            $options = $isBundle ? $this->bundle($path, $asked) : $this->csv($path, $asked);
        } catch (Problem $e) {
            Storage::delete($path);
            throw $e;
        } catch (NotReadable $e) {
            Storage::delete($path);
            throw new Problem(ProblemKind::Invalid, $e->getMessage());
        }
        $labels = array_values(array_filter(array_map(trim(...), explode(',', $asked->text('labels') ?? '')), static fn (string $one): bool => $one !== '' && mb_strlen($one) <= 60));
        $import = $this->read->begin($isBundle ? 'oneroster' : 'csv', $asked->text('name') ?? ($isBundle ? 'oneroster.zip' : 'people.csv'), $path, [], WhoLooks::signedIn($request));
        $this->read->from($import, [...$options, 'labels' => $labels]);
        ContinueReading::dispatch($import->id);

        return new JsonResponse(ImportTold::of($import->refresh()), 202, ['Location' => "/api/v1/imports/{$import->id}"]);
    }

    #[Operation('How far a file of people has come', answers: ImportTold::class)]
    public function show(Import $import): JsonResponse
    {
        return new JsonResponse(ImportTold::of($import), 200, ['Cache-Control' => 'no-store, private']);
    }

    #[Operation('Brings in all who were read, or nobody', answers: ImportTold::class, status: 202, problems: [ProblemKind::Collision], headers: ['Location'])]
    public function update(Import $import, ImportPeople $bring): JsonResponse
    {
        try {
            $bring($import);
        } catch (NotReadable $e) {
            throw new Problem(ProblemKind::Collision, $e->getMessage());
        }

        return new JsonResponse(ImportTold::of($import->refresh()), 202, ['Location' => "/api/v1/imports/{$import->id}"]);
    }

    #[Operation('Takes back what a file brought, as far as it has not been changed since', answers: ImportTold::class, status: 202, says: 'For 30 days after it was brought in. People who came by it, have not been here and have nothing else go as well.', problems: [ProblemKind::Collision], headers: ['Location'])]
    public function destroy(Request $request, Import $import, TakeImportBack $takeBack): JsonResponse
    {
        try {
            $takeBack($import, WhoLooks::signedIn($request));
        } catch (NotReadable $e) {
            throw new Problem(ProblemKind::Collision, $e->getMessage());
        }

        return new JsonResponse(ImportTold::of($import->refresh()), 202, ['Location' => "/api/v1/imports/{$import->id}"]);
    }

    /**
     * @return array<string, mixed>
     *
     * @throws Problem
     */
    private function csv(string $path, Asked $asked): array
    {
        $offer = $asked->text('offer');
        if ($offer !== null && ! Offer::query()->where('key', $offer)->exists()) {
            throw Problem::parameter('offer', Say::text('interface.gone.offer'));
        }
        [, $head] = CsvPeople::look($this->files->path($path));
        $columns = CsvPeople::guess($head);

        return isset($columns['email']) ? ['columns' => $columns, 'offer' => $offer] : throw new Problem(ProblemKind::Invalid, Say::text('interface.files.no_address'));
    }

    /**
     * @return array<string, mixed>
     *
     * @throws Problem
     */
    private function bundle(string $path, Asked $asked): array
    {
        try {
            $known = RosterPeople::classes($this->files->path($path));
        } catch (NotReadable $e) {
            throw new Problem(ProblemKind::Invalid, $e->getMessage());
        }
        $classes = [];
        foreach (array_filter(explode(' ', $asked->text('classes') ?? ''), static fn (string $one): bool => $one !== '') as $pair) {
            [$class, $offer] = [...explode('=', $pair, 2), ''];
            if (! isset($known[$class]) || ! Offer::query()->where('key', $offer)->exists()) {
                throw Problem::parameter('classes', Say::text('interface.files.class', ['pair' => $pair]));
            }
            $classes[$class] = $offer;
        }

        $endings = $asked->text('endings');

        return $endings === null || $endings === Endings::LEFT ? ['classes' => $classes, 'endings' => $endings] : throw Problem::parameter('endings', Say::text('interface.files.endings'));
    }
}
