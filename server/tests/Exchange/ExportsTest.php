<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Exchange;

use ChalkLadder\Server\Exchange\PrintTicket;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Tests\ApiCase;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\HttpFoundation\UriSigner;

final class ExportsTest extends ApiCase
{
    public function testResponsesComeOutAsTheyWereGivenOneALine(): void
    {
        $handout = $this->world->handOut();
        $this->world->sit(
            'Benoît Larsen',
            $handout,
            [
                'e-choice' => ['options' => ['b']],
                'e-number' => ['text' => '12,34 m'],
                'e-open' => ['text' => "Line one\nline \"two\", end"],
            ],
        );
        $this->as($this->world->teacher);
        $rows = $this->responses($handout);

        self::assertSame(
            [
                '8 Kestrel',
                'Benoît Larsen',
                '1',
                'yes',
                '1',
                'A choice question',
                '1',
                'B wrong',
                'wrong',
                '0',
                '0',
                '1',
                'machine',
                'SECRET idea',
            ],
            self::of(
                $rows[0],
                'class',
                'student',
                'attempt',
                'counts',
                'question',
                'title',
                'try',
                'response',
                'verdict',
                'credit',
                'marks',
                'of',
                'marked by',
                'misconceptions',
            ),
        );
        self::assertSame(['3', '12,34 m'], self::of($rows[1], 'question', 'response'));
        self::assertSame(
            ["Line one\nline \"two\", end", 'waits for a marker', '', '', ''],
            self::of($rows[2], 'response', 'verdict', 'credit', 'marks', 'marked by'),
        );
    }

    public function testAMarkSetByHandComesOutWithWhoSetIt(): void
    {
        $handout = $this->world->handOut(['attempts' => 2, 'counts' => 'latest']);
        $first = $this->world->sit('Ada Okafor', $handout, ['e-open' => ['text' => 'The moon.'], 'e-number' => ['text' => '1']]);
        $this->world->sit('Ada Okafor', $handout, ['e-open' => ['text' => 'The sun.']]);
        $this->as($this->world->teacher)->get(
            'PUT',
            '/marks',
            ['sittingId' => $first, 'entry' => 'e-open', 'try' => 1, 'levels' => [1], 'comment' => 'Good', 'markVersion' => 0],
        );
        $this->get('PUT', '/marks', ['sittingId' => $first, 'entry' => 'e-number', 'try' => 1, 'credit' => '1/4', 'markVersion' => 0]);
        $rows = array_map(
            static fn (array $r): array => self::of(
                $r,
                'attempt',
                'counts',
                'question',
                'verdict',
                'credit',
                'marks',
                'of',
                'marked by',
                'comment',
            ),
            $this->responses($handout),
        );

        self::assertSame([
            ['1', 'no', '3', 'part', '1/4', '0.5', '2', 'Teacher', ''],
            ['1', 'no', '4', 'right', '1', '4', '4', 'Teacher', 'Good'],
            ['2', 'yes', '4', 'waits for a marker', '', '', '4', '', ''],
        ], $rows);
    }

    public function testAStudentsFormulaStaysTextInASpreadsheet(): void
    {
        $handout = $this->world->handOut();
        foreach (['Ada Okafor' => '=HYPERLINK("http://x")', 'Benoît Larsen' => '+1+1', 'Cleo Marsh' => '@SUM(A1)'] as $name => $text) {
            $this->world->sit($name, $handout, ['e-open' => ['text' => $text]]);
        }
        $this->as($this->world->teacher);
        foreach ($this->responses($handout) as $row) {
            self::assertMatchesRegularExpression('/^\'[=+@]/', $row['response']);
        }
    }

    public function testMarksComeOutByNameAndOnlyWhatWasHandedIn(): void
    {
        $handout = $this->world->handOut();
        $this->world->sit('Cleo Marsh', $handout, ['e-choice' => ['options' => ['a']], 'e-text' => ['text' => 'SECRETBROOK']]);
        $this->world->sit('Ada Okafor', $handout, ['e-open' => ['text' => 'It waits.']]);
        $this->as($this->world->students['Benoît Larsen'])->get('POST', "/me/handouts/$handout/open");
        $this->as($this->world->teacher);
        $rows = $this->csv("/handouts/$handout/marks.csv");

        self::assertSame(
            [
                ['8 Kestrel', 'Ada Okafor', '1', 'yes', 'handed in', '0', '9', '1'],
                ['8 Kestrel', 'Cleo Marsh', '1', 'yes', 'marked', '2', '9', '0'],
            ],
            array_map(static fn (array $r): array => array_slice($r, 0, 8), array_slice($rows, 1)),
        );
        $headers = $this->browser->getResponse()->headers;
        self::assertSame('text/csv; charset=UTF-8', $headers->get('Content-Type'));
        self::assertStringContainsString(
            "filename*=utf-8''".rawurlencode('Heights of tide · 8 Kestrel · marks.csv'),
            (string) $headers->get('Content-Disposition'),
        );
        self::assertStringContainsString('no-store', (string) $headers->get('Cache-Control'));
    }

    public function testAPrintLeaveOpensOnePaperForAMinute(): void
    {
        $clock = new MockClock();
        $tickets = new PrintTicket(new UriSigner('a secret', clock: $clock));
        $ticket = $tickets->issue('team', 'paper');
        self::assertSame('team', $tickets->check($ticket, 'paper'));
        $clock->sleep(59);
        self::assertSame('team', $tickets->check($ticket, 'paper'));
        $clock->sleep(2);
        foreach ([
            [$tickets, $ticket, 'paper'],
            [$tickets, $tickets->issue('team', 'paper'), 'other'],
            [$tickets, str_replace('team', 'them', $tickets->issue('team', 'paper')), 'paper'],
            [new PrintTicket(new UriSigner('another secret', clock: $clock)), $tickets->issue('team', 'paper'), 'paper'],
            [$tickets, '', 'paper'],
            [$tickets, 'a.b.c.d.e', 'paper'],
        ] as [$by, $shown, $paper]) {
            try {
                $by->check($shown, $paper);
                self::fail("\"$shown\" opened $paper.");
            } catch (Problem $problem) {
                self::assertSame(401, $problem->status);
            }
        }
    }

    public function testThePrintPageHoldsThePaperWithItsPoints(): void
    {
        $ticket = self::service(PrintTicket::class)->issue($this->world->teacher->teamId, $this->world->paperId);
        $view = $this->as(null)->get('GET', '/print/papers/'.$this->world->paperId.'?ticket='.rawurlencode($ticket));
        self::assertSame(['Heights of tide', '9'], [$view->at('paper.title'), $view->at('points')]);
        self::assertSame(['e-choice', 'e-text', 'e-number', 'e-open'], array_keys($view->map('items')));
        $foreign = self::service(PrintTicket::class)->issue($this->world->stranger->teamId, $this->world->paperId);
        $this->refused(404, 'GET', '/print/papers/'.$this->world->paperId.'?ticket='.rawurlencode($foreign));
    }

    /** @return list<array<string, string>> cells by column */
    private function responses(string $handout): array
    {
        $rows = $this->csv("/handouts/$handout/responses.csv");

        return array_map(static fn (array $row): array => array_combine($rows[0], $row), array_slice($rows, 1));
    }

    /**
     * @param array<string, string> $row
     *
     * @return list<string>
     */
    private static function of(array $row, string ...$columns): array
    {
        return array_map(static fn (string $column): string => $row[$column], array_values($columns));
    }

    /** @return list<list<string>> */
    private function csv(string $path): array
    {
        $response = $this->ask('GET', $path);
        self::assertSame(200, $response->getStatusCode());
        $stream = fopen('php://memory', 'r+');
        self::assertIsResource($stream);
        fwrite($stream, ltrim((string) $response->getContent(), "\u{FEFF}"));
        rewind($stream);
        $rows = [];
        while (($row = fgetcsv($stream, null, ',', '"', '')) !== false) {
            $rows[] = array_values(array_map(strval(...), $row));
        }

        return $rows;
    }
}
