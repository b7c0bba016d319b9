<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Regroup;

use ChalkLadder\Server\Paper\Api\Input\PaperInput;
use ChalkLadder\Server\Paper\Api\Input\PublishInput;
use ChalkLadder\Server\Paper\Papers;
use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Plan;

/** What comes next is handed out by itself, once, and not before a student may know how the work stands. */
final class FollowUpsTest extends ApiCase
{
    private string $low = '';
    private string $high = '';
    private string $idea = '';

    public function testEachIsHandedWhatFitsOnceTheWorkIsMarkedAndTold(): void
    {
        $handout = $this->begin(['feedback' => Plan::ON_RETURN]);
        $this->world->sit('Ada Okafor', $handout, ['e-choice' => ['options' => ['a']], 'e-text' => ['text' => 'SECRETROCK']]);
        $this->world->sit('Benoît Larsen', $handout, ['e-choice' => ['options' => ['c']]]);
        self::assertSame([], $this->next('Ada Okafor'), 'nobody has been told');

        $this->as($this->world->teacher)->get('POST', "/handouts/$handout/return", []);
        self::assertSame(['High'], $this->next('Ada Okafor'));
        self::assertSame(['Low'], $this->next('Benoît Larsen'));
        self::assertSame([], $this->next('Cleo Marsh'), 'who has not sat it gets nothing');

        $this->as($this->world->teacher);
        $rows = array_values(array_filter($this->get('GET', '/handouts')->list('handouts'), static fn ($h): bool => $h->at('follows') !== null));
        self::assertSame([1, 1], array_map(static fn ($h): int => $h->int('expected'), $rows));
        self::assertSame('Before', $rows[0]->text('follows'));
    }

    public function testWhoseMarksComeAtClosingIsHandedItThen(): void
    {
        $handout = $this->begin(['feedback' => ['verdict' => 'closed', 'marks' => 'closed']]);
        $this->world->sit('Benoît Larsen', $handout, ['e-choice' => ['options' => ['c']]]);
        self::assertSame([], $this->next('Benoît Larsen'));
        $this->as($this->world->teacher)->get('POST', "/handouts/$handout/close");
        self::assertSame(['Low'], $this->next('Benoît Larsen'));
    }

    public function testAWrongIdeaDecidesBeforeTheRungWhereItStandsFirst(): void
    {
        $handout = $this->begin(['feedback' => Plan::AFTER_HAND_IN], idea: true);
        $this->world->sit('Ada Okafor', $handout, ['e-choice' => ['options' => ['b']], 'e-text' => ['text' => 'SECRETROCK']]);
        self::assertSame(['Idea'], $this->next('Ada Okafor'), 'told at once when it is handed in');
    }

    public function testAllWhoGetTheSameShareOneHandoutAndNothingIsHandedTwice(): void
    {
        $handout = $this->begin(['feedback' => Plan::AFTER_HAND_IN, 'attempts' => 2]);
        foreach (['Ada Okafor', 'Benoît Larsen', 'Ada Okafor'] as $name) {
            $this->world->sit($name, $handout, ['e-choice' => ['options' => ['c']]]);
        }
        self::assertCount(1, $this->tables->rows('SELECT 1 FROM handout WHERE follows_id IS NOT NULL'));
        self::assertSame(['Low'], $this->next('Ada Okafor'));
        self::assertSame(['Low'], $this->next('Benoît Larsen'));

        $next = $this->tables->row('SELECT id FROM handout WHERE follows_id IS NOT NULL')?->text('id') ?? '';
        $this->as($this->world->teacher)->get('POST', "/handouts/$next/close");
        $this->world->sit('Cleo Marsh', $handout, ['e-choice' => ['options' => ['c']]]);
        self::assertSame([], $this->next('Cleo Marsh'), 'what a teacher has closed hands out no more');
    }

    public function testWorkThatWaitsForAMarkerIsFollowedWhenItIsMarked(): void
    {
        $handout = $this->begin(['feedback' => Plan::AFTER_HAND_IN], withOpen: true);
        $sitting = $this->world->sit('Ada Okafor', $handout, ['e-choice' => ['options' => ['a']], 'e-open' => ['text' => 'The sun pulls too.']]);
        self::assertSame([], $this->next('Ada Okafor'));
        $this->as($this->world->teacher)->get('PUT', '/marks', [
            'sittingId' => $sitting, 'entry' => 'e-open', 'try' => 1, 'credit' => '1', 'levels' => null, 'comment' => '', 'markVersion' => 0,
        ]);
        self::assertSame(['High'], $this->next('Ada Okafor'));
    }

    public function testOnlyOtherPapersOfTheTeamCanFollow(): void
    {
        $this->as($this->world->teacher);
        $paper = ['followUps' => [['rung' => 1, 'paper' => $this->world->paperId]]] + $this->world->paperDocument();
        self::assertSame(
            'A paper cannot follow itself.',
            $this->refused(422, 'PUT', '/papers/'.$this->world->paperId, ['paper' => $paper, 'version' => 1])->map('fields')['followUps.0.paper'] ?? null,
        );
        $other = $this->as($this->world->stranger)->get('POST', '/papers', [
            'paper' => ['version' => 1, 'title' => 'Theirs', 'mastery' => null, 'sections' => []],
        ])->text('id');
        $this->as($this->world->teacher);
        $paper['followUps'] = [['rung' => 1, 'paper' => $other]];
        self::assertSame(
            'Choose a paper of the team’s.',
            $this->refused(422, 'PUT', '/papers/'.$this->world->paperId, ['paper' => $paper, 'version' => 1])->map('fields')['followUps.0.paper'] ?? null,
        );
        $draft = $this->get('POST', '/papers', ['paper' => ['version' => 1, 'title' => 'Not yet', 'mastery' => null, 'sections' => []]])->text('id');
        $paper['followUps'] = [['misconception' => $this->world->idea, 'paper' => $draft]];
        $saved = $this->get('PUT', '/papers/'.$this->world->paperId, ['paper' => $paper, 'version' => 1]);
        self::assertSame([['misconception' => $this->world->idea, 'paper' => $draft]], $saved->map('paper')['followUps'] ?? null);
        self::assertContains('“Not yet” is to follow and has no edition yet, so nobody is handed it.', $saved->column('proof.defects', 'message'));
        $paper['followUps'] = [['rung' => 1, 'misconception' => $this->world->idea, 'paper' => $draft]];
        $this->refused(422, 'PUT', '/papers/'.$this->world->paperId, ['paper' => $paper, 'version' => 2]);
    }

    /** @param array<string, mixed> $conditions */
    private function begin(array $conditions, bool $idea = false, bool $withOpen = false): string
    {
        $this->low = $this->published('Low');
        $this->high = $this->published('High');
        $this->idea = $this->published('Idea');
        $followUps = [
            ...($idea ? [['misconception' => $this->world->idea, 'paper' => $this->idea]] : []),
            ['rung' => 1, 'paper' => $this->low], ['rung' => 3, 'paper' => $this->high],
        ];

        return $this->world->handOut($conditions, $this->edition('Before', $followUps, $withOpen ? ['choice', 'open'] : ['choice', 'text']));
    }

    private function published(string $title): string
    {
        $edition = $this->edition($title, [], ['choice']);

        return $this->tables->row('SELECT paper_id FROM edition WHERE id = :id', ['id' => $edition])?->text('paper_id') ?? '';
    }

    /**
     * @param list<array<string, mixed>> $followUps
     * @param list<string>               $types
     */
    private function edition(string $title, array $followUps, array $types): string
    {
        $papers = $this->world->get(Papers::class);
        $paper = $papers->create($this->world->lead, new PaperInput([
            'version' => 1, 'title' => $title, 'mastery' => null,
            'sections' => [['id' => 's1', 'title' => 'S', 'route' => null, 'entries' => array_map(
                fn (string $type): array => ['id' => 'e-'.$type, 'kind' => 'question', 'item' => $this->world->items[$type], 'points' => '2'],
                $types,
            )]],
        ] + ($followUps === [] ? [] : ['followUps' => $followUps])));

        return $papers->publish($this->world->lead, $paper->id, new PublishInput($paper->version))->editionId ?? '';
    }

    /** @return list<string> titles of what a student has to do besides */
    private function next(string $name): array
    {
        $work = $this->as($this->world->students[$name])->get('GET', '/me/work');

        $titles = array_map(static fn (mixed $t): string => is_string($t) ? $t : '', $work->column('handouts', 'title'));

        return array_values(array_diff($titles, ['Before', 'Heights of tide']));
    }
}
