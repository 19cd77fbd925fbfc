<?php

declare(strict_types=1);

namespace Tests\Ledger;

use App\Ledger\Proof\Seal;
use App\Ledger\Proof\SealedFiles;
use App\Models\Person;
use Closure;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Tests\TestCase;
use ZipArchive;

/** The answer to a complaint as a file to be sent, which nobody can alter unnoticed. */
final class StoryFileTest extends TestCase
{
    private Person $siv;

    private string $file;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->siv = Person::query()->create(['name' => 'Siv Aune', 'email' => 'siv@alder.test']);
        $this->actingAs($this->person('hege'));
        $this->act(['do' => 'give', 'offer' => 'apprentice-pass']);
        $this->act(['do' => 'observe', 'observer' => $this->person('eira')->id]);
        Carbon::setTestNow('2026-03-12T08:00:00Z');
        $this->inAnotherProcess();
        $this->act(['do' => 'pause', 'offer' => 'apprentice-pass', 'stops' => true]);
        $answer = $this->get("/keep/people/{$this->siv->id}/past.zip?course=clinker")->assertOk()->baseResponse;
        self::assertInstanceOf(BinaryFileResponse::class, $answer);
        $this->file = tempnam(sys_get_temp_dir(), 'story');
        ob_start();
        $answer->sendContent();
        file_put_contents($this->file, (string) ob_get_clean());
    }

    protected function tearDown(): void
    {
        is_file($this->file) && unlink($this->file);
        parent::tearDown();
    }

    public function test_it_tells_the_story_and_names_nobody_else(): void
    {
        $files = $this->files();
        self::assertSame(['key.json', 'signature.jws', 'story.json', 'story.txt'], array_keys($files));
        self::assertStringContainsString("\n12 Mar, 09:00\n  Apprentice pass paused. (the school)\n  Closed from then on: Announcements, Marks,", str_replace('Thu 12 Mar', '12 Mar', $files['story.txt']));
        self::assertStringContainsString('Siv Aune', $files['story.txt']);
        foreach (['Hege', 'Eira'] as $name) {
            self::assertStringNotContainsString($name, implode('', $files));
        }
        $told = json_decode($files['story.json'], true, flags: JSON_THROW_ON_ERROR);
        self::assertIsArray($told);
        self::assertSame(['Siv Aune', 'Clinker planking', '2026-03-12T08:00:00Z'], [$told['person'], $told['course'], $told['turns'][count($told['turns']) - 1]['at']]);
    }

    public function test_the_school_says_that_it_is_as_it_was(): void
    {
        self::assertSame(0, Artisan::call('keep:verify-story', ['file' => $this->file]));
        self::assertStringContainsString('Signed by this school, and as it was.', Artisan::output());
        self::assertSame([], SealedFiles::look($this->file)['wrong'] ?? null);
    }

    /** By nothing but what stands in the standards. */
    public function test_anybody_verifies_it_with_the_public_key_that_the_school_hands_out(): void
    {
        auth()->forgetGuards();
        $keys = $this->get('/interface/story-key.json')->assertOk()->json('keys');
        $files = $this->files();
        self::assertSame($keys, json_decode($files['key.json'], true)['keys']);
        $plain = static fn (string $part): string => (string) base64_decode(strtr($part, '-_', '+/')) ?: throw new \LogicException('It is empty.');
        [$head, $payload, $signature] = explode('.', trim($files['signature.jws']));
        $key = array_column($keys, null, 'kid')[json_decode($plain($head), true)['kid']];
        self::assertTrue(sodium_crypto_sign_verify_detached($plain($signature), "{$head}.{$payload}", $plain($key['x'])));
        self::assertSame(hash('sha256', $files['story.txt']), json_decode($plain($payload), true)['sha256']['story.txt']);
    }

    /** @param  Closure(ZipArchive): mixed  $alter */
    #[DataProvider('alterations')]
    public function test_what_was_altered_is_found(Closure $alter): void
    {
        $zip = new ZipArchive;
        $zip->open($this->file);
        $alter($zip);
        $zip->close();
        self::assertSame(1, Artisan::call('keep:verify-story', ['file' => $this->file]));
    }

    /** @return iterable<string, array{Closure(ZipArchive): mixed}> */
    public static function alterations(): iterable
    {
        yield 'a word' => [static fn (ZipArchive $zip) => $zip->addFromString('story.txt', str_replace('paused', 'active', (string) $zip->getFromName('story.txt')))];
        yield 'a file less' => [static fn (ZipArchive $zip) => $zip->deleteName('story.json')];
        yield 'a file more' => [static fn (ZipArchive $zip) => $zip->addFromString('more.txt', 'and more')];
        yield 'no signature' => [static fn (ZipArchive $zip) => $zip->deleteName('signature.jws')];
        yield 'a signature of what nobody signed' => [static fn (ZipArchive $zip) => $zip->addFromString('signature.jws', 'e30.e30.'.str_repeat('A', 86))];
        yield 'signed anew, with a key of one’s own' => [static function (ZipArchive $zip): void {
            $pair = sodium_crypto_sign_keypair();
            $plain = static fn (string $bytes): string => rtrim(strtr(base64_encode($bytes), '+/', '-_'), '=');
            $signed = $plain('{"alg":"EdDSA"}').'.'.$plain((string) json_encode(['sha256' => ['story.txt' => hash('sha256', (string) $zip->getFromName('story.txt')), 'story.json' => hash('sha256', (string) $zip->getFromName('story.json'))]]));
            $zip->addFromString('signature.jws', $signed.'.'.$plain(sodium_crypto_sign_detached($signed, sodium_crypto_sign_secretkey($pair))));
        }];
        yield 'no archive' => [static fn (ZipArchive $zip) => array_map($zip->deleteIndex(...), range(0, $zip->numFiles - 1))];
    }

    public function test_another_application_key_is_another_school(): void
    {
        $signed = Seal::sign('something');
        self::assertSame('something', Seal::opened($signed));
        config(['app.key' => 'base64:'.base64_encode(str_repeat('x', 32))]);
        self::assertNull(Seal::opened($signed));
    }

    public function test_it_is_for_whoever_sees_the_page_alone(): void
    {
        $this->actingAs($this->person('eira'))->get("/keep/people/{$this->siv->id}/past.zip?course=clinker")->assertNotFound();
    }

    /** @return array<string, string> */
    private function files(): array
    {
        $zip = new ZipArchive;
        self::assertTrue($zip->open($this->file, ZipArchive::RDONLY | ZipArchive::CHECKCONS));
        $files = [];
        for ($entry = 0; $entry < $zip->numFiles; $entry++) {
            $files[(string) $zip->getNameIndex($entry)] = (string) $zip->getFromIndex($entry);
        }
        ksort($files);

        return $files;
    }

    /** @param  array<string, mixed>  $act */
    private function act(array $act): void
    {
        $this->post('/keep/people/acts', [...$act, 'people' => [(string) $this->siv->id]])->assertSessionHasNoErrors();
        $this->inAnotherProcess();
    }
}
