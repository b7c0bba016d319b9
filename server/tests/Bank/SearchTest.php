<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Bank;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

final class SearchTest extends ApiCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->as($this->world->teacher);
    }

    public function testQuestionsAreFoundByWordsOfTitlePromptAndOptions(): void
    {
        self::assertSame(['A choice question'], $this->titles('?q=wrong'));
        self::assertSame(['A number question'], $this->titles('?q=HOW%20deep'));
        self::assertSame(['A text question'], $this->titles('?q=question%20bank'), 'all words, in any order');
        self::assertSame([], $this->titles('?q=question%20lighthouse'));
        self::assertSame([], $this->titles('?q=%25'), 'a percent sign is a sign, not a pattern');
        self::assertCount(4, $this->titles(''));
    }

    public function testWordsAreFoundByTheirStemAndThroughASlip(): void
    {
        $written = static fn (string $title, string $prompt): array => ['title' => $title, 'prompt' => "<p>$prompt</p>"];
        foreach ([
            ['Twelfths', 'How many twelfths does the tide fall?'],
            ['Buoys', 'Which buoys stand to port?'],
            ['Falling', 'A tide that falls evenly.'],
        ] as [$title, $prompt]) {
            $this->get('POST', '/items', ['item' => $written($title, $prompt) + $this->world->itemDocuments()['text']]);
        }
        self::assertSame(['Buoys'], $this->titles('?q=buoy'));
        self::assertSame(['Twelfths'], $this->titles('?q=twelths'), 'a letter is missing');
        self::assertEqualsCanonicalizing(['Falling', 'Twelfths'], $this->titles('?q=falls%20tides'), 'by the stem');
        self::assertSame('Falling', $this->inOrder('?q=fall')[0], 'the title says it');
        self::assertSame([], $this->titles('?q=xyzzy'));
        self::assertSame([], $this->titles('?q=%27%20%3A%2A%20%26%20%7C%20%21'), 'signs of the search language are signs');
    }

    public function testStemsAreThoseOfTheTeamsLanguage(): void
    {
        $write = fn (string $title, string $prompt): Json => $this->get('POST', '/items', ['item' => ['title' => $title, 'prompt' => "<p>$prompt</p>"]
            + $this->world->itemDocuments()['text']]);
        $write('Häfen', 'Welche Häfen fallen trocken?');
        $write('Priele', 'Auf trockenem Priel.');
        self::assertSame(['Priele'], $this->titles('?q=trockenem'), 'no English word has this stem');
        $this->as($this->world->lead)->get('PUT', '/account/team', ['searchLanguage' => 'german']);
        $this->as($this->world->teacher);
        self::assertEqualsCanonicalizing(['Häfen', 'Priele'], $this->titles('?q=trockenem'), 'what was there follows');
        $write('Tonnen', 'Die Tonnen liegen trocken.');
        self::assertEqualsCanonicalizing(['Häfen', 'Priele', 'Tonnen'], $this->titles('?q=trockenem'), 'and so does what is new');
        $this->as($this->world->lead)->refused(422, 'PUT', '/account/team', ['searchLanguage' => 'english; --']);
        $this->as($this->world->teacher)->refused(403, 'PUT', '/account/team', ['searchLanguage' => 'dutch']);
    }

    public function testItIsNarrowedByWhoWroteItWhereItStandsAndHowManyWereRight(): void
    {
        $this->get('POST', '/items', ['item' => ['title' => 'By the teacher'] + $this->world->itemDocuments()['text']]);
        $handout = $this->world->handOut();
        $this->world->sit('Ada Okafor', $handout, ['e-choice' => ['options' => ['a']], 'e-text' => ['text' => 'nothing like it']]);
        $this->as($this->world->teacher);
        $all = $this->get('GET', '/items');
        self::assertSame([5, 4], [$all->int('total'), $all->int('used')]);
        self::assertSame(['By the teacher'], $this->titles('?author='.$this->world->teacher->id));
        self::assertSame(1, $all->map('authors')[$this->world->teacher->id] ?? null);
        self::assertSame(['By the teacher'], $this->titles('?used=0'));
        self::assertCount(4, $this->titles('?used=1'));
        self::assertSame(['A choice question'], $this->titles('?right=high'));
        self::assertContains('A text question', $this->titles('?right=low'));
        self::assertContains('By the teacher', $this->titles('?right=none'));
        $bands = $all->map('right');
        self::assertSame([1, 5], [$bands['high'] ?? 0, array_sum(array_filter($bands, is_int(...)))]);
        self::assertSame($bands, $this->get('GET', '/items?right=high')->map('right'), 'whatever band is looked for');
        self::assertSame([], $this->as($this->world->stranger)->get('GET', '/items?right=high')->list('items'), 'another team’s');
    }

    public function testFiltersNarrowAndTheTypesKeepTheirCounts(): void
    {
        $skill = $this->get('POST', '/bank/skills', ['name' => 'Rule of twelfths'])->text('id');
        $item = ['skill' => $skill] + $this->world->itemDocuments()['number'];
        $this->get('PUT', '/items/'.$this->world->items['number'], ['item' => $item, 'version' => 1]);

        self::assertSame(['A number question'], $this->titles("?skill=$skill"));
        self::assertEqualsCanonicalizing(
            ['A choice question', 'A number question', 'A open question'],
            $this->titles('?misconception='.$this->world->idea),
        );
        $list = $this->get('GET', '/items?type=open&misconception='.$this->world->idea);
        self::assertSame([1, ['choice' => 1, 'number' => 1, 'open' => 1]], [$list->at('total'), $list->map('types')]);
        self::assertSame(1, $this->get('GET', '/bank/terms')->int('skills.0.questions'));
    }

    public function testFacetsAreCountedWhateverIsPickedOfThemselves(): void
    {
        $skill = $this->get('POST', '/bank/skills', ['name' => 'Rule of twelfths'])->text('id');
        $item = ['skill' => $skill] + $this->world->itemDocuments()['number'];
        $this->get('PUT', '/items/'.$this->world->items['number'], ['item' => $item, 'version' => 1]);
        $list = $this->get('GET', "/items?skill=$skill");

        self::assertSame([$skill => 1], $list->map('skills'));
        self::assertSame([$this->world->idea => 1], $list->map('misconceptions'), 'those of the skill alone');
        self::assertSame([$this->world->idea => 3], $this->get('GET', '/items?misconception='.$this->world->idea)->map('misconceptions'));
        self::assertSame([], $this->get('GET', '/items?q=lighthouse')->map('skills'));
    }

    public function testTheListIsSortedAndComesInPages(): void
    {
        $open = ['title' => 'a first one', 'points' => '1/2'] + $this->world->itemDocuments()['open'];
        $open['rule'] = ['criteria' => [['name' => 'Cause', 'levels' => [
            ['points' => '0', 'descriptor' => 'none', 'misconception' => null],
            ['points' => '1/2', 'descriptor' => 'all', 'misconception' => null],
        ]]]];
        $this->get('POST', '/items', ['item' => $open]);

        self::assertSame(
            ['A choice question', 'a first one', 'A number question', 'A open question', 'A text question'],
            $this->inOrder('?sort=title'),
        );
        self::assertSame(['a first one', 'A choice question'], array_slice($this->inOrder('?sort=marks'), 0, 2), 'a half before one');
        self::assertSame('a first one', $this->inOrder('')[0], 'the latest first');
        self::assertSame(['A open question', 'A text question'], $this->inOrder('?sort=title&from=3'));
        self::assertSame(5, $this->get('GET', '/items?from=5')->at('total'));
    }

    /** @return list<string> */
    private function inOrder(string $query): array
    {
        return array_map(static fn (Json $i): string => $i->text('title'), $this->get('GET', "/items$query")->list('items'));
    }

    public function testTheRecordCountsHandedInWorkOnly(): void
    {
        $handout = $this->world->handOut();
        $this->world->sit('Ada Okafor', $handout, ['e-choice' => ['options' => ['a']]]);
        $this->world->sit('Benoît Larsen', $handout, ['e-choice' => ['options' => ['b']]]);
        $cleo = $this->as($this->world->students['Cleo Marsh'])->get('POST', "/me/handouts/$handout/open")->text('id');
        $this->get(
            'PUT',
            "/me/sittings/$cleo/responses",
            ['saves' => [[
                'entry' => 'e-choice',
                'try' => 1,
                'value' => ['options' => [$this->shown($cleo, 'b')]],
                'counter' => 1,
                'clientId' => 'x',
            ]]],
        );
        $record = $this->as($this->world->teacher)->get('GET', '/items/'.$this->world->items['choice']);

        self::assertSame([1, 2], [$record->at('record.handouts'), $record->at('record.students')]);
        self::assertEqualsWithDelta(0.5, $record->at('record.facility'), 1e-12);
        self::assertSame(['Heights of tide'], $record->at('papers'));
        $row = array_values(array_filter(
            $this->get('GET', '/items')->list('items'),
            static fn (Json $i): bool => $i->text('type') === 'choice',
        ))[0];
        self::assertSame([2, 1], [$row->at('students'), $row->at('usedIn')]);
    }

    public function testAQuestionPutAwayLeavesTheListButNotItsPapers(): void
    {
        $path = '/items/'.$this->world->items['text'];
        $this->get('DELETE', $path);
        self::assertNotContains('A text question', $this->titles(''));
        self::assertTrue($this->get('GET', $path)->at('archived'));
        self::assertSame(
            [],
            array_filter(
                $this->get('GET', '/papers/'.$this->world->paperId)->list('proof.defects'),
                static fn (Json $d): bool => $d->at('blocks') === true,
            ),
        );
        $this->get('POST', "$path/restore");
        self::assertContains('A text question', $this->titles(''));
    }

    public function testTwoTeachersAtOneQuestionAreToldOfEachOther(): void
    {
        $path = '/items/'.$this->world->items['text'];
        $item = $this->world->itemDocuments()['text'];
        $this->get('PUT', $path, ['item' => ['title' => 'Mine'] + $item, 'version' => 1]);
        $problem = $this->as($this->world->lead)->refused(409, 'PUT', $path, ['item' => ['title' => 'Yours'] + $item, 'version' => 1]);
        self::assertStringContainsString('Teacher saved it while you were writing', $problem->text('detail'));
        self::assertSame('Mine', $this->get('GET', $path)->text('item.title'));
        self::assertSame(
            'A text question',
            $this->tables->row(
                'SELECT content FROM item_revision WHERE item_id = :id AND version = 1',
                ['id' => $this->world->items['text']],
            )?->json('content')['title'] ?? null,
            'the version before is kept',
        );
    }

    public function testTermsAreTheTeamsOwnAndNamedOnce(): void
    {
        $this->get('POST', '/bank/skills', ['name' => ' Bearings ']);
        self::assertSame(
            'There is already one called "bearings".',
            $this->refused(422, 'POST', '/bank/skills', ['name' => 'bearings'])->map('fields')['name'] ?? null,
        );
        self::assertSame(['Bearings'], $this->get('GET', '/bank/terms')->column('skills', 'name'));
        $this->as($this->world->stranger);
        self::assertSame([], $this->get('GET', '/bank/terms')->at('skills'));
        self::assertSame([], $this->get('GET', '/bank/terms')->at('misconceptions'));
        $this->refused(422, 'POST', '/items', ['item' => $this->world->itemDocuments()['choice']]);
    }

    public function testASkillFindsWhatStandsBelowItAndCountsItsQuestions(): void
    {
        $this->as($this->world->teacher);
        $made = fn (string $name, ?string $parent): string => $this->get('POST', '/bank/skills', ['name' => $name, 'parent' => $parent])->text('id');
        $all = $made('Tides', null);
        $heights = $made('Heights', $all);
        $ranges = $made('Ranges', $heights);
        [$text, $number] = [$this->world->items['text'], $this->world->items['number']];
        $this->get('POST', '/items/many/skills', ['skills' => [$text => $heights, $number => $ranges]]);

        $found = fn (string $skill): array => $this->get('GET', "/items?skill=$skill")->column('items', 'id');
        self::assertEqualsCanonicalizing([$text, $number], $found($all));
        self::assertEqualsCanonicalizing([$text, $number], $found($heights));
        self::assertSame([$number], $found($ranges));
        $counts = $this->get('GET', '/items')->map('skills');
        self::assertEquals([2, 2, 1], [$counts[$all], $counts[$heights], $counts[$ranges]]);
        self::assertEquals([2, 2, 1], array_map(fn (string $s): int => $this->get('GET', "/items?skill=$s")->int('total'), [$all, $heights, $ranges]));
        self::assertSame([], $this->as($this->world->stranger)->get('GET', "/items?skill=$all")->at('items'));
    }

    /** @return list<mixed> */
    private function titles(string $query): array
    {
        return $this->get('GET', "/items$query")->column('items', 'title');
    }
}
