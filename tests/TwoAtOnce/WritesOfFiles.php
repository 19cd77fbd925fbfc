<?php

declare(strict_types=1);

namespace Tests\TwoAtOnce;

use App\Models\Import;
use App\Models\PeopleFile;
use App\Models\Person;
use Closure;
use Illuminate\Http\UploadedFile;

/** What files of people write, for {@see WriteBesideWriteTest}. */
trait WritesOfFiles
{
    /** @return array<string, array{Closure, Closure, Closure}> */
    private static function ofFiles(): array
    {
        $read = static function (self $test): int {
            $test->actingAs($test->person('hege'))->post('/keep/people/imports', ['file' => UploadedFile::fake()->createWithContent('people.csv', "name,email\nAlva,alva@alder.test\n")]);
            $import = Import::query()->sole();
            $test->postJson("/keep/people/imports/{$import->id}/read", ['options' => ['columns' => ['name' => 0, 'email' => 1]]])->assertOk();

            return $import->id;
        };
        $of = static fn (mixed $import): string => '/keep/people/imports/'.(is_int($import) ? $import : 0);

        return [
            'have a file of people made' => [static fn (self $test) => $test->actingAs($test->person('hege')), static fn (self $test) => $test->post('/keep/people/files?find=eira')->assertRedirect(), static fn (): bool => PeopleFile::query()->where('state', 'ready')->exists()],
            'let a file of people go' => [
                static function (self $test): int {
                    $test->actingAs($test->person('hege'))->post('/keep/people/files?find=eira');

                    return PeopleFile::query()->sole()->id;
                },
                static fn (self $test, mixed $file) => $test->delete('/keep/people/files/'.(is_int($file) ? $file : 0))->assertRedirect(),
                static fn (): bool => PeopleFile::query()->doesntExist(),
            ],
            'bring people in from a file' => [$read, static fn (self $test, mixed $import) => $test->post($of($import))->assertRedirect(), static fn (): bool => Person::query()->where('email', 'alva@alder.test')->exists()],
            'take a file of people back' => [
                static function (self $test) use ($read, $of): int {
                    $test->post($of($import = $read($test)));
                    self::assertTrue(Person::query()->where('email', 'alva@alder.test')->exists());

                    return $import;
                },
                static fn (self $test, mixed $import) => $test->delete($of($import))->assertRedirect(),
                static fn (): bool => Import::query()->sole()->state === 'taken back' && ! Person::query()->where('email', 'alva@alder.test')->exists(),
            ],
        ];
    }
}
