<?php

declare(strict_types=1);

namespace Tests\Privacy;

use App\Models\Person;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What somebody is called is put right. */
final class CorrectPersonTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_name_and_address_are_corrected_and_old_links_open_nothing(): void
    {
        $kaia = $this->person('kaia');
        $this->post('/sign-in/link', ['email' => 'kaia@alder.test']);
        $this->actingAs($this->person('hege'))->put("/keep/people/{$kaia->id}", ['name' => ' Kaia Lund ', 'email' => ' KAIA@lund.test', 'from' => 'kaia@alder.test'])->assertSessionHasNoErrors();
        self::assertSame(['Kaia Lund', 'kaia@lund.test'], [$kaia->refresh()->name, $kaia->email]);
        self::assertSame(0, DB::table('sign_in_links')->where('person_id', $kaia->id)->count());
        self::assertStringContainsString('Who they are was corrected (was Kaia Rønning, kaia@alder.test)', (string) json_encode($this->get("/keep/people/{$kaia->id}")->inertiaProps('history'), JSON_UNESCAPED_UNICODE));
    }

    public function test_a_name_alone_leaves_links_as_they_are(): void
    {
        $kaia = $this->person('kaia');
        $this->post('/sign-in/link', ['email' => 'kaia@alder.test']);
        $this->actingAs($this->person('hege'))->put("/keep/people/{$kaia->id}", ['name' => 'Kaia Lund', 'email' => 'kaia@alder.test', 'from' => 'kaia@alder.test'])->assertSessionHasNoErrors();
        self::assertSame(1, DB::table('sign_in_links')->where('person_id', $kaia->id)->count());
    }

    public function test_a_claimed_address_that_is_corrected_is_theirs(): void
    {
        $visitor = Person::query()->create(['name' => 'Somebody', 'email' => 'claimed-1', 'claimed_email' => 'typo@alder.test']);
        $this->put("/keep/people/{$visitor->id}", ['name' => 'Somebody', 'email' => 'right@alder.test', 'from' => 'typo@alder.test'])->assertSessionHasNoErrors();
        self::assertSame(['right@alder.test', null], [$visitor->refresh()->email, $visitor->claimed_email]);
    }

    /** @param  array<string, string>  $said */
    #[DataProvider('wrong')]
    public function test_what_cannot_be_is_told_at_its_field(array $said, string $field, string $told): void
    {
        $kaia = $this->person('kaia');
        $this->put("/keep/people/{$kaia->id}", [...['name' => 'Kaia Lund', 'email' => 'kaia@lund.test', 'from' => 'kaia@alder.test'], ...$said])->assertSessionHasErrors([$field => $told]);
        self::assertSame('Kaia Rønning', $kaia->refresh()->name);
    }

    /** @return iterable<string, array{array<string, string>, string, string}> */
    public static function wrong(): iterable
    {
        yield 'no name' => [['name' => ' '], 'name', 'Please say who it is.'];
        yield 'no address' => [['email' => ''], 'email', 'Please give an e-mail address: it is what they sign in by.'];
        yield 'none that there can be' => [['email' => 'kaia'], 'email', 'This is not an e-mail address.'];
        yield 'somebody else’s' => [['email' => 'EIRA@alder.test'], 'email', 'Somebody with this address is here already. One person has one account: find them in the list.'];
        yield 'changed meanwhile' => [['from' => 'kaia@before.test'], 'email', 'Somebody else has changed this meanwhile. Look at it again.'];
    }
}
