<?php

declare(strict_types=1);

namespace Tests\TwoAtOnce;

use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\PgsqlSchools;
use Tests\SchoolServer;

/** Ten processes look up the same events and ten do what they set off, all at the same moment: all of it is done, and once. */
#[Group('long')]
final class TriggersTenAtOnceTest extends TestCase
{
    private const PEOPLE = 30;

    private SchoolServer $school;

    protected function setUp(): void
    {
        $this->school = new SchoolServer;
    }

    protected function tearDown(): void
    {
        $this->school->stop();
    }

    public function test_each_event_is_noted_once_and_each_step_done_once(): void
    {
        $pdo = $this->school->pdo();
        $stamp = fn (int $ago): string => gmdate('Y-m-d H:i:s', $this->school->loadedAt - $ago);
        $spec = json_encode(['when' => ['event' => 'label-given', 'label' => 'go'], 'only' => (object) [], 'then' => [['do' => 'extend-pass', 'offer' => 'apprentice-pass', 'days' => 10], ['do' => 'give-label', 'label' => 'set-off']]]);
        $pdo->prepare('update triggers set "on" = (id = 1), since = ?')->execute([$stamp(3600)]);
        $pdo->prepare('update triggers set spec = ? where id = 1')->execute([$spec]);
        $pdo->prepare("insert into activities (person_id, action, after, happened_at) select p.person_id, 'label.given', '{\"label\":\"go\"}', ? from passes p join offers o on o.id = p.offer_id where o.key = 'apprentice-pass' and p.state = 'active' and p.starts_at <= ? and p.ends_at > ? group by p.person_id having count(*) = 1 order by p.person_id limit ".self::PEOPLE)->execute([$stamp(60), $stamp(0), $stamp(-60)]);
        $told = (int) $this->school->value("select count(*) from activities where after = '{\"label\":\"go\"}'");
        self::assertGreaterThan(5, $told);
        $days = PgsqlSchools::areMeant() ? 'extract(epoch from p.ends_at) / 86400.0' : 'julianday(p.ends_at)';
        $ends = "select sum({$days}) from passes p join offers o on o.id = p.offer_id where o.key = 'apprentice-pass' and p.person_id in (select person_id from activities where after = '{\"label\":\"go\"}')";
        $before = (float) $this->school->value($ends);

        $this->tenAtOnce('keep:run-triggers');
        self::assertSame($told, (int) $this->school->value('select count(*) from trigger_runs'));
        $this->tenAtOnce('queue:work', '--stop-when-empty', '--tries=50', '--sleep=0');
        self::assertSame($told, (int) $this->school->value("select count(*) from trigger_runs where state = 'done' and json_array_length(did) = 2"));
        self::assertSame($told, (int) $this->school->value("select count(*) from labels where label = 'set-off'"));
        self::assertEqualsWithDelta(10.0 * $told, (float) $this->school->value($ends) - $before, 0.05 * $told, 'An hour more or less where clocks change.');
    }

    private function tenAtOnce(string ...$words): void
    {
        $ten = array_map(fn (): Process => $this->school->command(...$words), range(1, 10));
        foreach ($ten as $process) {
            $process->start();
        }
        foreach ($ten as $process) {
            self::assertSame(0, $process->wait(), $process->getErrorOutput());
        }
    }
}
