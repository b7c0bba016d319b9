<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Paper;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

/** A paper of which each student gets some questions. */
final class DrawingTest extends ApiCase
{
    private const DRAWN = ['d1', 'd2', 'd3', 'd4', 'd5'];

    /**
     * @param array<string, mixed> $drawing
     *
     * @return array<string, mixed>
     */
    private function document(array $drawing, string $points = '1'): array
    {
        $entry = fn (string $id, string $type): array => [
            'id' => $id, 'kind' => 'question', 'item' => $this->world->items[$type], 'points' => '1',
        ];

        return [
            'version' => 1, 'title' => 'Recall', 'mastery' => null, 'sections' => [[
                'id' => 's', 'title' => 'Recall', 'route' => null, 'drawing' => $drawing,
                'entries' => [
                    $entry('p', 'number') + ['pinned' => true],
                    ['points' => $points] + $entry('d1', 'choice'),
                    ...array_map(static fn (string $id): array => $entry($id, $id < 'd4' ? 'choice' : 'text'), array_slice(self::DRAWN, 1)),
                ],
            ]],
        ];
    }

    /** @param array<string, mixed> $drawing */
    private function paper(array $drawing): string
    {
        return $this->as($this->world->teacher)->get('POST', '/papers', ['paper' => $this->document($drawing)])->text('id');
    }

    /** @return list<string> */
    private static function steps(Json $sitting): array
    {
        return array_map(static fn (Json $step): string => $step->text('entry'), $sitting->list('steps'));
    }

    public function testEachStudentGetsADrawThatStaysAndIsTheOnlyOneThatCounts(): void
    {
        $paper = $this->paper(['count' => 2, 'by' => 'chance']);
        $published = $this->get('POST', "/papers/$paper/publish", ['version' => 1]);
        self::assertSame([3, 3], [$published->int('proof.leastQuestions'), $published->int('proof.mostQuestions')]);
        $handout = $this->world->handOut([], $published->text('editionId'));
        $entries = [];
        foreach (['Ada Okafor', 'Benoît Larsen', 'Cleo Marsh'] as $name) {
            $student = $this->world->students[$name];
            $sitting = $this->as($student)->get('POST', "/me/handouts/$handout/open");
            $shown = self::steps($sitting);
            self::assertCount(3, $shown);
            self::assertSame('p', $shown[0]);
            self::assertSame($shown, self::steps($this->get('GET', '/me/sittings/'.$sitting->text('id'))), 'the same after a reload');
            foreach (array_diff(self::DRAWN, $shown) as $absent) {
                $late = $this->get('PUT', '/me/sittings/'.$sitting->text('id').'/responses', ['saves' => [[
                    'entry' => $absent, 'try' => 1, 'value' => ['options' => ['a']], 'counter' => 1, 'clientId' => "c-$absent",
                ]]]);
                self::assertSame('closed', $late->at('kept.0.fate'), 'what was not asked is not answered');
            }
            $entries[$name] = $shown;
        }
        foreach ($entries as $name => $shown) {
            $answers = ['p' => ['text' => '98.76']];
            foreach (array_slice($shown, 1) as $entry) {
                $answers[$entry] = $entry < 'd4' ? ['options' => ['a']] : ['text' => 'reef'];
            }
            $this->world->sit($name, $handout, $answers);
        }
        $results = $this->as($this->world->teacher)->get('GET', "/handouts/$handout/results");
        $counts = [];
        foreach ($results->list('questions') as $question) {
            $counts[$question->text('entry')] = $question->int('facility.n');
        }
        self::assertSame(3, $counts['p']);
        foreach (self::DRAWN as $id) {
            self::assertSame(
                count(array_filter($entries, static fn (array $shown): bool => in_array($id, $shown, true))),
                $counts[$id],
                'who did not get a question is not counted at it',
            );
        }
        foreach ($results->list('questions') as $question) {
            self::assertSame([0, 0], [$question->int('notReached'), $question->int('omitted')]);
        }
    }

    public function testAnEditionKeepsOfWhatKindItsQuestionsWereAndADraftDoesNotSay(): void
    {
        $skill = $this->as($this->world->teacher)->get('POST', '/bank/skills', ['name' => 'Depths'])->text('id');
        $this->get('POST', '/items/many/skills', ['skills' => [$this->world->items['choice'] => $skill]]);
        $paper = $this->paper(['count' => 2, 'by' => 'skill', 'kinds' => ['d1' => 'forged']]);
        self::assertSame(['count' => 2, 'by' => 'skill'], $this->get('GET', "/papers/$paper")->at('paper.sections.0.drawing'));
        $edition = $this->get('POST', "/papers/$paper/publish", ['version' => 1])->text('editionId');
        $kinds = json_decode((string) $this->tables->row('SELECT content #> \'{paper,sections,0,drawing,kinds}\' AS kinds FROM edition WHERE id = :id', [
            'id' => $edition,
        ])?->text('kinds'), true);
        self::assertEquals(['d1' => $skill, 'd2' => $skill, 'd3' => $skill, 'd4' => 'none', 'd5' => 'none'], $kinds);
        $view = $this->get('GET', "/papers/$paper/blueprint");
        self::assertSame('3', $view->text('whole.marks'), 'what one student gets');
    }

    public function testADrawFromQuestionsOfDifferentWorthIsNotPublished(): void
    {
        $paper = $this->paper(['count' => 2, 'by' => 'chance']);
        $drawing = ['count' => 2, 'by' => 'chance'];
        $this->get('PUT', "/papers/$paper", ['paper' => $this->document($drawing, '2'), 'version' => 1]);
        $refused = $this->refused(422, 'POST', "/papers/$paper/publish", ['version' => 2]);
        self::assertStringContainsString('not worth the same', $refused->text('detail'));
        $this->refused(422, 'PUT', "/papers/$paper", ['paper' => $this->document(['count' => 0, 'by' => 'luck']), 'version' => 2]);
    }
}
