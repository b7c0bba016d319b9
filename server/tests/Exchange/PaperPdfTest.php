<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Exchange;

use ChalkLadder\Server\Exchange\PaperPdf;
use ChalkLadder\Server\Paper\Api\Input\PaperInput;
use ChalkLadder\Server\Paper\Papers;
use ChalkLadder\Server\Tests\ApiCase;

/** What stands on a paper of its own. */
final class PaperPdfTest extends ApiCase
{
    public function testVersionsHaveOrdersOfTheirOwnAndAskTheSame(): void
    {
        $item = $this->world->items['choice'];
        $paper = $this->world->get(Papers::class)->create($this->world->teacher, new PaperInput([
            'version' => 1,
            'title' => 'Six',
            'sections' => [['id' => 's1', 'title' => 'All', 'route' => null, 'entries' => array_map(
                static fn (int $i): array => ['id' => "e$i", 'kind' => 'question', 'item' => $item, 'points' => '1'],
                range(1, 6),
            )]],
            'mastery' => null,
        ]))->id;
        $orders = [];
        foreach (['', 'A', 'B', 'C', 'D'] as $version) {
            $view = $this->view($paper, $version);
            self::assertEquals($view, $this->view($paper, $version), 'a version is printed again as it was');
            $ids = self::entries($view->paper);
            $orders[implode(' ', $ids)] = $version;
            sort($ids);
            self::assertSame(['e1', 'e2', 'e3', 'e4', 'e5', 'e6'], $ids);
            foreach ($view->items as $document) {
                self::assertIsArray($document['rule']);
                self::assertIsArray($document['rule']['options']);
                $keys = array_column($document['rule']['options'], 'key', 'id');
                ksort($keys);
                self::assertSame(['a' => true, 'b' => false], $keys, 'the key goes with its option');
            }
        }
        self::assertSame('', $orders['e1 e2 e3 e4 e5 e6'] ?? null);
        // Of 720 orders, four: two may be alike, three hardly ever are.
        self::assertGreaterThan(2, count($orders));
    }

    public function testAVersionThatIsNoneIsRefused(): void
    {
        $this->as($this->world->teacher);
        $path = '/papers/'.$this->world->paperId.'/pdf';
        $this->refused(422, 'POST', $path.'?version=E');
        self::assertSame('waiting', $this->get('POST', $path.'?version=B&key=true&large=true&sheet=true')->text('state'));
        $job = $this->tables->row("SELECT concat_ws(' ', version, with_key, large, sheet) AS wish FROM print_job");
        self::assertSame('B t t t', $job?->text('wish'));
    }

    private function view(string $paper, string $version): \ChalkLadder\Server\Exchange\Api\View\PrintView
    {
        return $this->world->get(PaperPdf::class)->view($this->world->teacher->teamId, $paper, $version);
    }

    /**
     * @param array<string, mixed> $paper
     *
     * @return list<string>
     */
    private static function entries(array $paper): array
    {
        $ids = [];
        foreach (is_array($paper['sections']) ? $paper['sections'] : [] as $section) {
            foreach (is_array($section) && is_array($section['entries']) ? $section['entries'] : [] as $entry) {
                $ids[] = is_array($entry) && is_string($entry['id']) ? $entry['id'] : '';
            }
        }

        return $ids;
    }
}
