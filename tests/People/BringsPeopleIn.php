<?php

declare(strict_types=1);

namespace Tests\People;

use App\Models\Import;
use App\Models\Label;
use App\Models\Message;
use App\Models\ObserverTie;
use App\Models\Pass;
use App\Models\Person;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;

/** Files of people, put in, read and brought in. */
trait BringsPeopleIn
{
    protected const COLUMNS = ['columns' => ['name' => 0, 'email' => 1, 'labels' => 2, 'offer' => 3, 'start' => 4]];

    protected function upload(string $content, string $name = 'people.csv'): Import
    {
        $this->post('/keep/people/imports', ['file' => UploadedFile::fake()->createWithContent($name, $content)])->assertSessionHasNoErrors();

        return Import::query()->latest('id')->firstOrFail();
    }

    /** @param  array<string, mixed>  $options */
    protected function read(Import $import, array $options = self::COLUMNS): Import
    {
        $progress = $this->postJson("/keep/people/imports/{$import->id}/read", ['options' => $options])->assertOk();
        while ($progress->json('state') === 'reading') {
            $progress = $this->postJson("/keep/people/imports/{$import->id}/read", [])->assertOk();
        }

        return $import->refresh();
    }

    /** @return TestResponse<Response> */
    protected function bringIn(Import $import): TestResponse
    {
        return $this->post("/keep/people/imports/{$import->id}");
    }

    /** @return list<int> people, passes, labels, letters, ties */
    protected static function counts(): array
    {
        return [Person::query()->count(), Pass::query()->count(), Label::query()->count(), Message::query()->count(), ObserverTie::query()->count()];
    }

    protected function many(int $rows): string
    {
        return "name,email,labels,offer,start\n".implode('', array_map(static fn (int $n): string => "Person {$n},p{$n}@many.test,keen,yard-trial,\n", range(0, $rows - 1)));
    }
}
