<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Bank;

use ChalkLadder\Server\Tests\ApiCase;

final class BankTest extends ApiCase
{
    public function testChecksTravelWithTheQuestionIntoTheSitting(): void
    {
        $number = ['checks' => [[
            'when' => 'within(answer, 50, 0.5)',
            'credit' => '1/2',
            'feedback' => 'Half of it: {answer}.',
        ]]] + $this->world->itemDocuments()['number'];
        $this->as($this->world->teacher);
        self::assertSame(
            'part',
            $this->get('POST', '/items/try', ['item' => $number, 'response' => ['text' => '50.2 m']])->text('verdict'),
        );
        $this->get('PUT', '/items/'.$this->world->items['number'], ['item' => $number, 'version' => 1]);
        $edition = $this->get('POST', '/papers/'.$this->world->paperId.'/publish', ['version' => 1])->text('editionId');
        $handout = $this->world->handOut([], $edition);
        $this->world->sit('Ada Okafor', $handout, ['e-number' => ['text' => '50.2 m']]);

        $row = $this->tables->row("SELECT credit, verdict, line FROM response WHERE entry = 'e-number'");
        self::assertSame(['1/2', 'part', 'check 1'], [$row?->text('credit'), $row?->text('verdict'), $row?->text('line')]);
    }

    public function testEarlierVersionsAreKeptAndReadAgain(): void
    {
        $id = $this->world->items['text'];
        $this->as($this->world->teacher);
        $first = $this->get('GET', "/items/$id");
        $this->get('PUT', "/items/$id", ['item' => ['title' => 'Second'] + $this->world->itemDocuments()['text'], 'version' => 1]);
        $this->get('PUT', "/items/$id", ['item' => ['title' => 'Third'] + $this->world->itemDocuments()['text'], 'version' => 2]);
        $history = $this->get('GET', "/items/$id/history");
        self::assertSame([3, 2, 1], $history->column('versions', 'version'));
        self::assertSame($first->text('updatedBy'), $history->at('versions.2.by'), 'who wrote that version');
        self::assertNull($history->at('versions.0.until'));
        self::assertIsString($history->at('versions.1.until'));
        self::assertSame(['Third', 'Second', $first->text('item.title')], array_map(
            fn (int $version): string => $this->get('GET', "/items/$id/history/$version")->text('item.title'),
            [3, 2, 1],
        ));
        $this->refused(404, 'GET', "/items/$id/history/4");
        $this->as($this->world->stranger);
        $this->refused(404, 'GET', "/items/$id/history/1");
    }

    public function testWhatCannotBePutBeforeStudentsIsNotTakenIntoTheBank(): void
    {
        $this->as($this->world->teacher);
        $plot = ['type' => 'plot', 'rule' => ['targets' => [['kind' => 'point', 'x' => '2', 'y' => '3', 'tolerance' => '1/4']]]]
            + $this->world->itemDocuments()['choice'];
        $picture = ['file' => '01900000-0000-7000-8000-000000000001', 'width' => 10, 'height' => 10, 'alt' => ''];
        $spot = static fn (string $file): array => ['type' => 'spot', 'rule' => [
            'picture' => ['file' => $file] + $picture,
            'regions' => [['id' => 'a', 'ellipse' => [1, 1, 1, 1]]],
        ]];
        $text = $this->world->itemDocuments()['text'];
        foreach (['prompt', 'explanation'] as $member) {
            $shown = ['<p>See <img data-file="'.$picture['file'].'" alt="A buoy" width="4" height="3" onerror="x()" src="https://else.where/x.png"></p>'];
            self::assertSame(
                'A picture of this question is not one of the team’s files.',
                $this->refused(422, 'POST', '/items', ['item' => [$member => $shown[0]] + $text])->text('fields.rule'),
                $member,
            );
        }
        foreach ([$picture['file'], 'x'] as $file) {
            self::assertSame(
                'A picture of this question is not one of the team’s files.',
                $this->refused(422, 'POST', '/items', ['item' => $spot($file) + $this->world->itemDocuments()['choice']])
                    ->map('fields')['rule'] ?? null,
            );
        }
        self::assertSame(
            'right',
            $this->get('POST', '/items/try', ['item' => $plot, 'response' => ['points' => [[2, 3]]]])->text('verdict'),
        );
        $endless = ['checks' => [['when' => 'answer > 0 and 9^9^9^9 > 1', 'credit' => '0']]] + $this->world->itemDocuments()['number'];
        $tried = $this->get('POST', '/items/try', ['item' => $endless, 'response' => ['text' => '98.76 m']]);
        self::assertSame('right', $tried->text('verdict'), 'It decides nothing.');
        self::assertStringStartsWith('Check 1 is passed over: ', $tried->text('passedOver.0'));
        $unknown = ['checks' => [['when' => 'tide = 1']]] + $this->world->itemDocuments()['number'];
        self::assertSame(
            '“tide” has no value here.',
            $this->refused(422, 'POST', '/items', ['item' => $unknown])->map('fields')['checks.0.when'] ?? null,
        );
        $broken = ['checks' => [['when' => 'answer >']]] + $this->world->itemDocuments()['number'];
        $fields = $this->refused(422, 'POST', '/items', ['item' => $broken])->map('fields');
        self::assertStringContainsString('missing at the end', is_string($fields['checks.0.when'] ?? null) ? $fields['checks.0.when'] : '');
    }

    public function testATeamThatWritesCommasIsReadWithCommas(): void
    {
        $this->tables->run("UPDATE team SET number_style = 'comma' WHERE id = :id", ['id' => $this->world->teacher->teamId]);
        $saved = $this->as($this->world->teacher)->get('POST', '/items', ['item' => $this->world->itemDocuments()['number']]);
        self::assertSame('comma', $saved->text('item.rule.style'));
        foreach (['98,76 m' => 'right', '98.76 m' => 'right', '1.098,76 m' => 'wrong'] as $text => $verdict) {
            $tried = $this->get('POST', '/items/try', ['item' => $saved->map('item'), 'response' => ['text' => $text]]);
            self::assertSame($verdict, $tried->text('verdict'), "$text, read as ".$tried->text('readAs'));
        }
        $this->tables->run("UPDATE team SET number_style = 'point' WHERE id = :id", ['id' => $this->world->teacher->teamId]);
        $point = $this->get('POST', '/items', ['item' => $this->world->itemDocuments()['number']]);
        self::assertArrayNotHasKey('style', $point->map('item.rule'));
    }
}
