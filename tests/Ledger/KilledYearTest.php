<?php

declare(strict_types=1);

namespace Tests\Ledger;

use App\Ledger\Proof\VerifyLedger;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use Symfony\Component\Process\PhpExecutableFinder;
use Symfony\Component\Process\Process;
use Tests\PgsqlSchools;
use Tests\SchoolFile;
use Tests\TestCase;

/** A year whose processes are killed again and again, wherever they just are. `LEDGER_KILLS` makes it a longer run. */
#[Group('long')]
final class KilledYearTest extends TestCase
{
    public function test_what_was_answered_between_kills_is_answered_again(): void
    {
        if (PgsqlSchools::areMeant()) {
            self::markTestSkipped('Of a file that processes share.');
        }
        $kills = (int) (getenv('LEDGER_KILLS') ?: 3);
        $this->demoSchool();
        DB::table('ledger')->count();
        $answers = SchoolFile::folder().'/answers';
        for ($kill = 1; $kill <= $kills; $kill++) {
            $given = self::given($answers);
            $child = new Process([(string) (new PhpExecutableFinder)->find(), 'vendor/bin/phpunit', 'tests/Ledger/YearUnderWay.php'], dirname(__DIR__, 2), ['YEAR_SCHOOL' => SchoolFile::path(), 'YEAR_SEED' => (string) (1000 + $kill), 'YEAR_STEPS' => '400', 'YEAR_ANSWERS' => $answers]);
            $child->start();
            // Somewhere in the midst of its work, however fast the machine is.
            $enough = $given + random_int(2, 12);
            while ($child->isRunning() && self::given($answers) < $enough) {
                usleep(random_int(500, 5_000));
            }
            self::assertTrue($child->isRunning(), $child->getOutput());
            $child->signal(9);
            $child->wait();
        }
        DB::purge();
        $this->inAnotherProcess();
        $year = new SimulatedYear(1, static fn () => null);
        $year->recall($answers);
        self::assertGreaterThan(20 * $kills, $year->count());
        self::assertSame([], $year->differences());
        self::assertSame([], app(VerifyLedger::class)()['findings']);
    }

    private static function given(string $answers): int
    {
        return is_file($answers) ? substr_count((string) file_get_contents($answers), "\n") : 0;
    }
}
