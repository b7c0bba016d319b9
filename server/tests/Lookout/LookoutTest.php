<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Lookout;

use ChalkLadder\Server\Paper\Api\Input\PaperInput;
use ChalkLadder\Server\Paper\Api\Input\PublishInput;
use ChalkLadder\Server\Paper\Papers;
use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;
use ChalkLadder\Server\Tests\Plan;

final class LookoutTest extends ApiCase
{
    private string $handout;
    private int $counter = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->handout = $this->world->handOut(['feedback' => Plan::AT_ONCE]);
    }

    public function testEveryExpectedStudentHasARowAndEveryQuestionAColumn(): void
    {
        $lookout = $this->lookout();
        self::assertSame(['Ada Okafor', 'Benoît Larsen', 'Cleo Marsh'], $lookout->column('rows', 'name'));
        self::assertSame(['expected', 'expected', 'expected'], $lookout->column('rows', 'state'));
        self::assertSame([1, 2, 3, 4], $lookout->column('columns', 'number'));
        self::assertSame(['First look', 'First look', 'Further out', 'Further out'], $lookout->column('columns', 'section'));
        self::assertSame(['footing', 'climbing', 'clear'], $lookout->at('rungs'));
    }

    public function testARowFollowsTheStudent(): void
    {
        $id = $this->open('Ada Okafor');
        self::assertSame(['open', 'e-choice', []], [$this->row(0)->at('state'), $this->row(0)->at('at'), $this->row(0)->map('cells')]);
        $version = $this->row(0)->int('revision');

        $this->save('Ada Okafor', $id, 'e-choice', ['options' => [$this->shown($id, 'a')]]);
        $this->save('Ada Okafor', $id, 'e-text', ['text' => 'SECRETBROOK']);
        $row = $this->row(0);
        self::assertSame(['right', 'part', 'e-text'], [$row->at('cells.e-choice.code'), $row->at('cells.e-text.code'), $row->at('at')]);
        self::assertEquals([2, 3], [$row->at('marks'), $row->at('of')], 'measured by what was answered');
        self::assertSame(2, $row->int('rung'), '2 of 3 is climbing');
        self::assertGreaterThan($version, $row->int('revision'));

        $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/sittings/$id/go-on", ['visit' => 1]);
        $this->save('Ada Okafor', $id, 'e-open', ['text' => 'The moon.']);
        $this->save('Ada Okafor', $id, 'e-number', ['text' => '']);
        $row = $this->row(0);
        self::assertSame(['waits', 'blank'], [$row->at('cells.e-open.code'), $row->at('cells.e-number.code')]);
        self::assertSame(['e-choice', 'e-text', 'e-number', 'e-open'], $row->at('route'));
        $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/sittings/$id/hand-in", ['visit' => 2]);
        self::assertSame('handed in', $this->row(0)->text('state'));
    }

    public function testWhatIsNotTouchedIsLeftBlankOnceItIsHandedIn(): void
    {
        $id = $this->open('Ada Okafor');
        $this->save('Ada Okafor', $id, 'e-choice', ['options' => [$this->shown($id, 'a')]]);
        $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/sittings/$id/go-on", ['visit' => 1]);
        self::assertSame(['e-choice'], array_keys($this->row(0)->map('cells')), 'it may still come');
        self::assertEquals([1, 1], [$this->row(0)->at('marks'), $this->row(0)->at('of')]);

        $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/sittings/$id/hand-in", ['visit' => 2]);
        $row = $this->row(0);
        self::assertSame(
            ['right', 'blank', 'blank', 'blank'],
            array_map(static fn (string $entry): string => $row->text("cells.$entry.code"), ['e-choice', 'e-text', 'e-number', 'e-open']),
        );
        self::assertEquals([1, 9], [$row->at('marks'), $row->at('of')], 'a blank earns nothing');
    }

    public function testOneStudentsWorkShowsWhatWasGivenAndHowItWasRead(): void
    {
        $id = $this->world->sit(
            'Benoît Larsen',
            $this->handout,
            ['e-choice' => ['options' => ['b']], 'e-number' => ['text' => ' 12.34 m ']],
        );
        $work = $this->as($this->world->teacher)->get('GET', "/sittings/$id");

        self::assertSame(
            ['Benoît Larsen', 'marked', '0', '9'],
            [$work->at('student'), $work->at('state'), $work->at('marks'), $work->at('of')],
        );
        self::assertSame(
            ['B wrong', '', '12.34 m', ''],
            array_map(static fn (Json $a): string => trim($a->text('given')), $work->list('answers')),
        );
        self::assertSame(['wrong', 'none', 'wrong', 'none'], $work->column('answers', 'verdict'));
        self::assertSame([['SECRET idea'], [], ['SECRET idea'], []], $work->column('answers', 'misconceptions'));
    }

    public function testClosingHandsInWhatIsThereOnce(): void
    {
        $id = $this->open('Ada Okafor');
        $this->save('Ada Okafor', $id, 'e-choice', ['options' => [$this->shown($id, 'a')]]);
        $this->as($this->world->teacher);
        self::assertSame(1, $this->get('POST', "/handouts/$this->handout/close")->int('handedIn'));
        self::assertSame(1, $this->get('POST', "/handouts/$this->handout/close")->int('handedIn'));
        self::assertSame(['marked', 'expected', 'expected'], $this->lookout()->column('rows', 'state'));
        self::assertSame(
            'close',
            $this->tables->row('SELECT handed_in_by FROM sitting WHERE id = :id', ['id' => $id])?->text('handed_in_by'),
        );
        self::assertCount(1, $this->tables->rows("SELECT 1 FROM trail WHERE act = 'close'"));
    }

    public function testTheStreamIsHandedOverOnlyAfterAuthorising(): void
    {
        $id = $this->open('Ada Okafor');
        $this->as($this->world->teacher)->ask('GET', "/handouts/$this->handout/live");
        self::assertMatchesRegularExpression(
            "#^/internal/live/staff/handout-$this->handout/session-[0-9a-f]{32}/[0-9a-f]{32}$#",
            (string) $this->browser->getResponse()->headers->get('X-Accel-Redirect'),
        );
        $this->as($this->world->students['Ada Okafor'])->ask('GET', "/me/sittings/$id/live");
        self::assertMatchesRegularExpression(
            "#^/internal/live/student/sitters-$this->handout/session-[0-9a-f]{32}/[0-9a-f]{32}$#",
            (string) $this->browser->getResponse()->headers->get('X-Accel-Redirect'),
            'students hear of closing, never of each other',
        );
        $this->as($this->world->students['Benoît Larsen'])->refused(404, 'GET', "/me/sittings/$id/live");
    }

    public function testOneQuestionIsSplitOverItsOptionsByWhoPickedThem(): void
    {
        foreach (['Ada Okafor' => 'a', 'Benoît Larsen' => 'b'] as $name => $option) {
            $id = $this->open($name);
            $this->save($name, $id, 'e-choice', ['options' => [$this->shown($id, $option)]]);
        }
        $one = $this->as($this->world->teacher)->get('GET', "/handouts/$this->handout/lookout/e-choice");
        $student = fn (string $name): string => $this->world->students[$name]->id;
        self::assertSame(
            [['A', 'right', [$student('Ada Okafor')]], ['B', 'wrong', [$student('Benoît Larsen')]]],
            array_slice(array_map(static fn (Json $g): array => [$g->at('letter'), $g->at('code'), $g->at('students')], $one->list('groups')), 0, 2),
        );
        self::assertSame(['right', 'wrong'], $one->column('answers', 'code'));
    }

    public function testWordsThatAreAlikeStandTogetherAndBlankOnesNowhere(): void
    {
        foreach (['Ada Okafor' => 'the reef', 'Benoît Larsen' => 'The Reef ', 'Cleo Marsh' => ''] as $name => $text) {
            $this->save($name, $this->open($name), 'e-text', ['text' => $text]);
        }
        $groups = $this->as($this->world->teacher)->get('GET', "/handouts/$this->handout/lookout/e-text")->list('groups');
        self::assertSame([2], array_map(static fn (Json $g): int => count((array) $g->at('students')), $groups));
    }

    public function testNumbersThatAreReadAlikeStandTogether(): void
    {
        foreach (['Ada Okafor' => '98.76', 'Benoît Larsen' => '98.760 m', 'Cleo Marsh' => '5m'] as $name => $text) {
            $id = $this->open($name);
            $this->as($this->world->students[$name])->get('POST', "/me/sittings/$id/go-on", ['visit' => 1]);
            $this->save($name, $id, 'e-number', ['text' => $text]);
        }
        $groups = $this->as($this->world->teacher)->get('GET', "/handouts/$this->handout/lookout/e-number")->list('groups');
        self::assertSame(
            [['right', 2], ['wrong', 1]],
            array_map(static fn (Json $g): array => [$g->text('code'), count((array) $g->at('students'))], $groups),
        );
    }

    public function testAQuestionThatCameBackShowsTheLatestAnswerThereIs(): void
    {
        $papers = $this->world->get(Papers::class);
        $mastery = ['returns' => 1, 'credits' => ['1', '1/2']];
        $paper = $papers->create($this->world->lead, new PaperInput($this->world->paperDocument(mastery: $mastery)));
        $edition = $papers->publish($this->world->lead, $paper->id, new PublishInput($paper->version))->editionId;
        $this->handout = $this->world->handOut(editionId: $edition);
        $id = $this->open('Ada Okafor');
        $said = fn (): array => $this->as($this->world->teacher)
            ->get('GET', "/handouts/$this->handout/lookout/e-text")->column('answers', 'given');
        $this->save('Ada Okafor', $id, 'e-text', ['text' => 'the shelf']);
        $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/sittings/$id/go-on", ['visit' => 1]);
        self::assertSame(['the shelf'], $said(), 'while nothing is there for the second try');

        $this->save('Ada Okafor', $id, 'e-text', ['text' => ''], 2);
        self::assertSame(['the shelf'], $said());
        $this->save('Ada Okafor', $id, 'e-text', ['text' => 'the bar'], 2);
        self::assertSame(['the bar'], $said());
    }

    private function lookout(): Json
    {
        return $this->as($this->world->teacher)->get('GET', "/handouts/$this->handout/lookout");
    }

    private function row(int $i): Json
    {
        return $this->lookout()->list('rows')[$i];
    }

    private function open(string $name): string
    {
        return $this->as($this->world->students[$name])->get('POST', "/me/handouts/$this->handout/open")->text('id');
    }

    /** @param array<string, mixed> $value */
    private function save(string $name, string $id, string $entry, array $value, int $try = 1): void
    {
        $this->as($this->world->students[$name])->get(
            'PUT',
            "/me/sittings/$id/responses",
            ['saves' => [['entry' => $entry, 'try' => $try, 'value' => $value, 'counter' => ++$this->counter, 'clientId' => 'x']], 'at' => $entry],
        );
    }
}
