<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;

/**
 * The page as programs that read it aloud have it from the browser.
 *
 * @phpstan-type Said array{role: string, name: string, level: ?int}
 */
trait ReadsTree
{
    /** What says nothing by itself. */
    private const SILENT = ['none', 'generic', 'InlineTextBox', 'LineBreak', 'RootWebArea', 'ListMarker', 'Iframe', 'IframePresentational', 'Pre', 'LabelText', 'Legend', 'Section', 'DisclosureTriangle'];

    /** @return list<Said> in the order in which they are read */
    private function readTree(): array
    {
        $this->waitForStillness();
        $told = (new ChromeDevToolsDriver($this->browser))->execute('Accessibility.getFullAXTree');
        $nodes = array_column(is_array($told['nodes'] ?? null) ? $told['nodes'] : [], null, 'nodeId');
        $said = [];
        $read = function (array $node) use (&$read, &$said, $nodes): void {
            $role = (string) ($node['role']['value'] ?? '');
            $properties = array_column($node['properties'] ?? [], 'value', 'name');
            if (($node['ignored'] ?? false) !== true && ! in_array($role, self::SILENT, true)) {
                $level = $properties['level']['value'] ?? null;
                $said[] = ['role' => $role, 'name' => trim((string) preg_replace('/\s+/u', ' ', (string) ($node['name']['value'] ?? ''))), 'level' => is_int($level) ? $level : null];
            }
            foreach ($node['childIds'] ?? [] as $child) {
                if (isset($nodes[$child])) {
                    $read($nodes[$child]);
                }
            }
        };
        foreach ($nodes as $node) {
            if (! isset($node['parentId'])) {
                $read($node);
            }
        }

        return $said;
    }

    /**
     * @param  list<Said>  $tree
     * @return list<string> headings with their level, links, buttons, fields and images, as `role name`
     */
    private static function spoken(array $tree): array
    {
        $spoken = [];
        foreach ($tree as $one) {
            if (! in_array($one['role'], ['StaticText', 'paragraph', 'list', 'listitem', 'row', 'rowgroup', 'cell', 'gridcell', 'emphasis', 'strong', 'time', 'text'], true)) {
                $spoken[] = trim(($one['level'] === null ? $one['role'] : "{$one['role']} {$one['level']}").' '.$one['name']);
            }
        }

        return $spoken;
    }
}
