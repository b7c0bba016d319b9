<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Sitting;

use ChalkLadder\Server\Bank\Api\Input\ItemInput;
use ChalkLadder\Server\Bank\Bank;
use ChalkLadder\Server\Paper\Api\Input\PaperInput;
use ChalkLadder\Server\Paper\Api\Input\PublishInput;
use ChalkLadder\Server\Paper\Papers;
use ChalkLadder\Server\Tests\ApiCase;

/** Questions with variables, and checks that look back, from the bank to the marks. */
final class OwnNumbersTest extends ApiCase
{
    private const VARIABLES = [
        ['name' => 'h', 'from' => '4', 'to' => '8', 'step' => '0.1'],
        ['name' => 'l', 'from' => '0.5', 'to' => '2', 'step' => '0.1'],
    ];

    public function testEveryStudentHasOwnNumbersAndIsMarkedByThem(): void
    {
        $handout = $this->handOut([$this->range()]);
        $prompts = [];
        foreach (['Ada Okafor', 'Benoît Larsen', 'Cleo Marsh'] as $i => $name) {
            $view = $this->as($this->world->students[$name])->get('POST', "/me/handouts/$handout/open");
            $prompt = $view->text('steps.0.face.prompt');
            self::assertSame(1, preg_match('/High water (\d\.?\d?) m, low water (\d\.?\d?) m/', $prompt, $m), $prompt);
            self::assertSame(
                $prompt,
                $this->get('GET', '/me/sittings/'.$view->text('id'))->text('steps.0.face.prompt'),
                'a reload shows the same',
            );
            self::assertStringNotContainsString('h - l', (string) $this->browser->getResponse()->getContent());
            $prompts[] = $prompt;
            $answer = (float) $m[1] + ($i === 0 ? -1 : 1) * (float) $m[2];
            $this->save($view->text('id'), 'e1', sprintf('%.1f', $answer));
            $this->get('POST', '/me/sittings/'.$view->text('id').'/hand-in', ['visit' => 1]);
        }
        // Two of 656 pairs of numbers may be the same; three are not.
        self::assertGreaterThan(1, count(array_unique($prompts)));
        self::assertSame(['right', 'wrong', 'wrong'], $this->verdicts());

        $results = $this->as($this->world->teacher)->get('GET', "/handouts/$handout/results");
        self::assertSame(
            ['Benoît Larsen', 'Cleo Marsh'],
            array_map(static fn ($s): mixed => $s->at('name'), $results->list('misconceptions.0.students')),
            'the distractor is known by its formula',
        );
        $desk = $this->get('GET', "/handouts/$handout/marking/e1");
        self::assertSame(['right', 'wrong', 'wrong'], $desk->column('answers', 'verdict'));
    }

    public function testAChangedKeyIsWorkedOutForEachStudentAndLeavesTheirNumbers(): void
    {
        $handout = $this->handOut([$this->range()]);
        $sums = [];
        foreach (['Ada Okafor', 'Benoît Larsen'] as $name) {
            $view = $this->as($this->world->students[$name])->get('POST', "/me/handouts/$handout/open");
            preg_match('/water (\d\.?\d?) m, low water (\d\.?\d?) m/', $view->text('steps.0.face.prompt'), $m);
            $sums[$view->text('id')] = [$view->text('steps.0.face.prompt'), (float) ($m[1] ?? 0) + (float) ($m[2] ?? 0)];
            $this->save($view->text('id'), 'e1', sprintf('%.1f', $sums[$view->text('id')][1]));
            $this->get('POST', '/me/sittings/'.$view->text('id').'/hand-in', ['visit' => 1]);
        }
        $this->as($this->world->teacher);
        $this->refused(409, 'POST', "/handouts/$handout/keys/e1", ['accept' => ['text' => '5']]);
        $rule = [
            'targets' => [['value' => '= h + l', 'credit' => '1'], ['value' => '= h - l', 'credit' => '0']],
            'unit' => 'm',
            'unitUse' => 'optional',
        ];
        self::assertCount(2, $this->get('POST', "/handouts/$handout/keys/e1/preview", ['rule' => $rule])->list('gains'));
        $done = $this->get('POST', "/handouts/$handout/keys/e1", ['rule' => $rule]);
        self::assertSame(['right', 'right'], $this->verdicts());
        self::assertTrue($done->at('bankToo'));
        foreach ($sums as $id => [$prompt, $sum]) {
            self::assertSame($prompt, $this->prompt($id));
        }
        $this->as($this->world->teacher)->get('POST', '/key-changes/'.$done->text('changeId').'/undo');
        self::assertSame(['wrong', 'wrong'], $this->verdicts());
        self::assertArrayHasKey(
            'rule.targets.0.value',
            $this->refused(422, 'POST', "/handouts/$handout/keys/e1", ['rule' => ['targets' => [['value' => 'h +']]]])->map('fields'),
        );
    }

    public function testNumbersThatClashAreToldAndBlockWhereNoneAreLeft(): void
    {
        $this->as($this->world->teacher);
        $some = $this->get(
            'POST',
            '/items',
            ['item' => ['variables' => [
                ['name' => 'h', 'choices' => ['4', '5', '6']],
                ['name' => 'l', 'choices' => ['0', '1', '2']],
            ]] + $this->range()],
        );
        self::assertContains(
            'values 1 and 2 lie within tolerance of each other in 3 of 9 draws; those are never handed out.',
            $some->column('defects', 'message'),
        );
        $none = $this->get(
            'POST',
            '/items',
            ['item' => ['variables' => [['name' => 'h', 'choices' => ['4', '5']], ['name' => 'l', 'choices' => ['0']]]] + $this->range()],
        );
        self::assertContains(
            'No draw is fit to be handed out: values 1 and 2 lie within tolerance of each other',
            $none->column('defects', 'message'),
        );
        $paper = $this->world->get(Papers::class)->create(
            $this->world->lead,
            new PaperInput([
                'version' => 1,
                'title' => 'P',
                'mastery' => null,
                'sections' => [[
                    'id' => 's1',
                    'title' => 'S',
                    'entries' => [['id' => 'e1', 'kind' => 'question', 'item' => $none->text('id'), 'points' => '1']],
                    'route' => null,
                ]],
            ]),
        );
        $this->refused(422, 'POST', "/papers/$paper->id/publish", ['version' => 1]);
        self::assertStringContainsString('h - l', $some->text('item.rule.targets.0.value'), 'the bank keeps what was written');
        $tried = $this->get('POST', '/items/try', ['item' => $this->range(), 'response' => ['text' => '1']]);
        self::assertSame(['h', 'l'], array_keys($tried->map('numbers')));
        self::assertArrayHasKey(
            'constraints',
            $this->refused(422, 'POST', '/items', ['item' => ['constraints' => ['h > 9']] + $this->range()])->map('fields'),
        );
    }

    public function testACheckLooksBackAtTheSectionsEarlierAnswer(): void
    {
        $second = [
            'title' => 'Half of it',
            'prompt' => '<p>And half of that?</p>',
            'checks' => [[
                'when' => 'within(answer, q1.answer / 2, 0.01)',
                'credit' => '1/2',
                'feedback' => 'Half of your {q1.answer}, which was not right itself.',
            ]],
            'rule' => ['targets' => [['value' => '3', 'credit' => '1']], 'unit' => '', 'unitUse' => 'none'],
        ] + $this->plain();
        $handout = $this->handOut([$this->plain(), $second]);
        $id = $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$handout/open")->text('id');
        $this->save($id, 'e1', '8');
        $this->save($id, 'e2', '4');
        self::assertSame(['wrong', 'part'], $this->verdicts());
        $this->save($id, 'e1', '6', 2);
        self::assertSame(['right', 'wrong'], $this->verdicts(), 'the later answer is looked at again when the earlier one changes');
        $this->save($id, 'e1', '8', 3);
        $this->get('POST', "/me/sittings/$id/hand-in", ['visit' => 1]);
        $this->as($this->world->teacher);
        self::assertSame('part', $this->get('GET', "/sittings/$id")->at('answers.1.verdict'));
        $this->get(
            'POST',
            "/handouts/$handout/keys/e2",
            ['rule' => ['targets' => [['value' => '3.5', 'credit' => '1']], 'unit' => '', 'unitUse' => 'none']],
        );
        self::assertSame(['wrong', 'part'], $this->verdicts(), 're-marking sees the earlier answer too');
        $this->get('POST', "/handouts/$handout/return", []);
        self::assertSame(
            'Half of your 8, which was not right itself.',
            $this->as($this->world->students['Ada Okafor'])->get('GET', "/me/sittings/$id")->text('steps.1.told.feedback'),
        );
    }

    public function testACheckThatLooksForwardBlocksPublishing(): void
    {
        $first = ['checks' => [['when' => 'answer = q2.answer', 'credit' => '1']]] + $this->plain();
        $this->expectExceptionMessage('This paper cannot be published yet.');
        $this->handOut([$first, $this->plain()]);
    }

    /** @return array<string, mixed> */
    private function plain(): array
    {
        return [
            'title' => 'Range',
            'prompt' => '<p>How much?</p>',
            'checks' => [],
            'rule' => ['targets' => [['value' => '6', 'credit' => '1']], 'unit' => '', 'unitUse' => 'none'],
        ] + $this->world->itemDocuments()['number'];
    }

    /** @return array<string, mixed> */
    private function range(): array
    {
        return [
            'prompt' => '<p>High water {h} m, low water {l} m. What is the range?</p>',
            'variables' => self::VARIABLES,
            'rule' => [
                'targets' => [
                    ['value' => '= h - l', 'credit' => '1'],
                    ['value' => '= h + l', 'credit' => '0', 'misconception' => $this->world->idea],
                ],
                'unit' => 'm',
                'unitUse' => 'optional',
            ],
        ] + $this->world->itemDocuments()['number'];
    }

    /** @param list<array<string, mixed>> $items */
    private function handOut(array $items): string
    {
        $entries = array_map(
            fn (array $item, int $i): array => [
                'id' => 'e'.($i + 1),
                'kind' => 'question',
                'item' => $this->world->get(Bank::class)->create($this->world->lead, new ItemInput($item))->id,
                'points' => '2',
            ],
            $items,
            array_keys($items),
        );
        $papers = $this->world->get(Papers::class);
        $paper = $papers->create(
            $this->world->lead,
            new PaperInput([
                'version' => 1,
                'title' => 'Own numbers',
                'mastery' => null,
                'sections' => [['id' => 's1', 'title' => 'S', 'entries' => $entries, 'route' => null]],
            ]),
        );

        return $this->world->handOut([], $papers->publish($this->world->lead, $paper->id, new PublishInput($paper->version))->editionId);
    }

    private function save(string $id, string $entry, string $text, int $counter = 1): void
    {
        self::assertSame(
            'kept',
            $this->get(
                'PUT',
                "/me/sittings/$id/responses",
                ['saves' => [[
                    'entry' => $entry,
                    'try' => 1,
                    'value' => ['text' => $text],
                    'counter' => $counter,
                    'clientId' => "c$counter",
                ]]],
            )->at('kept.0.fate'),
        );
    }

    private function prompt(string $id): string
    {
        return $this->as($this->world->teacher)->get('GET', "/sittings/$id")->text('answers.0.prompt');
    }

    /** @return list<string> stored, by name and entry */
    private function verdicts(): array
    {
        return array_map(
            static fn ($r): string => $r->text('verdict'),
            $this->tables->rows('SELECT r.verdict FROM response r JOIN sitting s ON s.id = r.sitting_id
                JOIN student st ON st.id = s.student_id ORDER BY st.name, r.entry'),
        );
    }
}
