<?php

declare(strict_types=1);

namespace Tests\Browser;

/** Looks at the page that is open with the rules of axe: nothing serious, no target under 24 pixels, and nothing outside a landmark. */
trait RunsAxe
{
    private function assertNothingSerious(string $where): void
    {
        $this->waitForStillness();
        $this->browser->executeScript((string) file_get_contents(dirname(__DIR__, 2).'/node_modules/axe-core/axe.min.js'));
        $found = $this->browser->executeAsyncScript(<<<'JS'
            const done = arguments[arguments.length - 1];
            axe.run(document, { resultTypes: ['violations'], rules: { 'target-size': { enabled: true } } }).then(
                ({ violations }) => done(violations.filter(({ id, impact }) => impact === 'serious' || impact === 'critical' || id === 'region').map(({ id, nodes }) => `${id}: ${nodes.slice(0, 4).map(({ html }) => html.slice(0, 160)).join(' | ')}`)),
                (error) => done([String(error)]),
            );
            JS);

        self::assertSame([], $found, $where);
    }
}
