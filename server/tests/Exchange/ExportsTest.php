<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Exchange;

use ChalkLadder\Server\Exchange\PrintTicket;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Tests\ApiCase;
use Symfony\Component\Clock\MockClock;

final class ExportsTest extends ApiCase
{
    public function testResponsesComeOutAsTheyWereGivenOneALine(): void
    {
        $handout = $this->world->handOut();
        $this->world->sit('Benoît Larsen', $handout, ['e-choice' => ['options' => ['b']], 'e-number' => ['text' => '12,34 m'], 'e-open' => ['text' => "Line one\nline \"two\", end"]]);
        $this->as($this->world->teacher);
        $rows = $this->csv("/handouts/$handout/responses.csv");

        self::assertSame('student,attempt,question,title,try,response,verdict,credit,marked by,comment,saved at,seconds,confidence', implode(',', $rows[0]));
        self::assertSame(['Benoît Larsen', '1', '1', 'A choice question', '1', 'B wrong', 'wrong', '0', 'machine', ''], array_slice($rows[1], 0, 10));
        self::assertSame('12,34 m', $rows[2][5]);
        self::assertSame("Line one\nline \"two\", end", $rows[3][5]);
        self::assertSame('by hand', $rows[3][6]);
    }

    public function testAStudentsFormulaStaysTextInASpreadsheet(): void
    {
        $handout = $this->world->handOut();
        foreach (['Ada Okafor' => '=HYPERLINK("http://x")', 'Benoît Larsen' => '+1+1', 'Cleo Marsh' => '@SUM(A1)'] as $name => $text) {
            $this->world->sit($name, $handout, ['e-open' => ['text' => $text]]);
        }
        $this->as($this->world->teacher);
        foreach (array_slice($this->csv("/handouts/$handout/responses.csv"), 1) as $row) {
            self::assertMatchesRegularExpression('/^\'[=+@]/', $row[5]);
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

        self::assertSame([['Ada Okafor', '1', 'handed in', '0'], ['Cleo Marsh', '1', 'marked', '2']], array_map(static fn (array $r): array => array_slice($r, 0, 4), array_slice($rows, 1)));
        $headers = $this->browser->getResponse()->headers;
        self::assertSame('text/csv; charset=UTF-8', $headers->get('Content-Type'));
        self::assertStringContainsString('attachment; filename=marks.csv', (string) $headers->get('Content-Disposition'));
        self::assertStringContainsString('no-store', (string) $headers->get('Cache-Control'));
    }

    public function testAPrintLeaveOpensOnePaperForAMinute(): void
    {
        $clock = new MockClock();
        $tickets = new PrintTicket('a secret', $clock);
        $ticket = $tickets->issue('team', 'paper');
        self::assertSame('team', $tickets->check($ticket, 'paper'));
        $clock->sleep(59);
        self::assertSame('team', $tickets->check($ticket, 'paper'));
        $clock->sleep(2);
        foreach ([[$tickets, $ticket, 'paper'], [$tickets, $tickets->issue('team', 'paper'), 'other'], [$tickets, str_replace('team', 'them', $tickets->issue('team', 'paper')), 'paper'], [new PrintTicket('another secret', $clock), $tickets->issue('team', 'paper'), 'paper'], [$tickets, '', 'paper'], [$tickets, 'a.b.c.d.e', 'paper']] as [$by, $shown, $paper]) {
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
