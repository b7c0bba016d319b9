<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Sitting;

use ChalkLadder\Server\Bank\Api\Input\ItemInput;
use ChalkLadder\Server\Bank\Api\Input\TermInput;
use ChalkLadder\Server\Bank\Bank;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Paper\Api\Input\PaperInput;
use ChalkLadder\Server\Paper\Api\Input\PublishInput;
use ChalkLadder\Server\Paper\Papers;
use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;
use ChalkLadder\Server\Tests\Plan;

/** When a skill is shown, and what comes back until then, as a student meets it. */
final class MasteryTest extends ApiCase
{
    private const RULE = ['returns' => 2, 'credits' => ['1', '1/2', '1/4'], 'shown' => ['kind' => 'streak', 'right' => 2], 'otherNumbers' => true];

    private string $sitting = '';

    public function testAQuestionComesBackWithOtherNumbersUntilItsSkillIsShown(): void
    {
        $handout = $this->begin(self::RULE);
        $first = $this->numbers(1);
        $this->answer(1, '0');
        $view = $this->goOn(1);
        $second = $this->numbers(2);
        self::assertNotSame($first, $second, 'other numbers');
        self::assertSame([[1, 1], [1, 2]], self::tries($view));

        $this->answer(2, self::range($second));
        $third = $this->goOn(2);
        self::assertSame([[1, 1], [1, 2], [1, 3]], self::tries($third), 'right, and the skill is not shown yet');
        self::assertSame('1 more right answer', $third->text('skills.0.wanted'));
        self::assertNotSame($second, $this->numbers(3));
        $this->answer(3, self::range($this->numbers(3)));
        $end = $this->goOn(3);
        self::assertTrue($end->at('ended'));
        self::assertSame(['Reading tables', 'shown', true], [
            $end->text('skills.0.name'), $end->text('skills.0.wanted'), $end->at('skills.0.isShown'),
        ]);
        $this->get('POST', "/me/sittings/$this->sitting/hand-in", ['visit' => 3]);
        self::assertSame(1.0, $this->tables->row('SELECT marks FROM sitting')?->float('marks'), 'half of two marks by the second try');

        $this->as($this->world->teacher);
        self::assertSame(['wrong', 'right', 'right'], $this->get('GET', "/sittings/$this->sitting")->column('answers', 'verdict'));
        self::assertSame(
            ['wrong', 'right', 'right'],
            $this->get('GET', "/handouts/$handout/marking/e1")->column('answers', 'verdict'),
            'each try is read by its own numbers',
        );
        $key = ['targets' => [['value' => '= l + h - l - l', 'credit' => '1']], 'unit' => '', 'unitUse' => 'none'];
        $change = $this->get('POST', "/handouts/$handout/keys/e1/preview", ['rule' => $key]);
        self::assertSame([0, 0], [count($change->list('gains')), count($change->list('loses'))], 'a key that says the same changes nobody');
    }

    public function testHowOneStandsGivesNothingAwayBeforeItIsTold(): void
    {
        // What is left for good in its order is settled as well, and tells as little.
        foreach (['2 more right in a row' => Plan::AFTER_HAND_IN, '1 more right answer' => Plan::AT_ONCE] as $wanted => $plan) {
            $this->begin(self::RULE, ['feedback' => $plan, 'inOrder' => true], $wanted);
            $this->answer(1, self::range($this->numbers(1)));
            $kept = $this->get('GET', "/me/sittings/$this->sitting");
            self::assertSame('2 more right in a row', $kept->text('skills.0.wanted'), 'nobody has been told yet');
            $this->get('POST', "/me/sittings/$this->sitting/settle", ['entry' => 'e1', 'try' => 1]);
            self::assertSame($wanted, $this->get('GET', "/me/sittings/$this->sitting")->text('skills.0.wanted'));
        }
    }

    public function testItIsNotToldWhereNothingIsNorAfterHandingInBeforeTheRest(): void
    {
        $this->begin(self::RULE, ['feedback' => Plan::NOTHING]);
        self::assertSame([], $this->get('GET', "/me/sittings/$this->sitting")->list('skills'));

        $handout = $this->begin(['returns' => 1] + self::RULE, [], 'Once');
        self::assertCount(1, $this->get('GET', "/me/sittings/$this->sitting")->list('skills'));
        $this->goOn(1);
        $this->goOn(2);
        $this->get('POST', "/me/sittings/$this->sitting/hand-in", ['visit' => 2]);
        self::assertSame([], $this->get('GET', "/me/sittings/$this->sitting")->list('skills'), 'handed in, not returned');
        $this->as($this->world->teacher)->get('POST', "/handouts/$handout/return", []);
        $this->as($this->world->students['Ada Okafor']);
        self::assertCount(1, $this->get('GET', "/me/sittings/$this->sitting")->list('skills'));
    }

    public function testWithoutSkillsThereIsNothingToShow(): void
    {
        $this->begin(['returns' => 1, 'credits' => ['1']]);
        self::assertSame([], $this->get('GET', "/me/sittings/$this->sitting")->list('skills'));
    }

    /**
     * @param array<string, mixed> $mastery
     * @param array<string, mixed> $conditions
     */
    private function begin(array $mastery, array $conditions = [], string $title = 'Ladder'): string
    {
        $lead = $this->world->lead;
        $terms = $this->world->get(Terms::class);
        $known = array_search('Reading tables', $terms->skillNames($lead->teamId), true);
        $skill = $known === false ? $terms->addSkill($lead, new TermInput('Reading tables'))->id : $known;
        $item = $this->world->get(Bank::class)->create($lead, new ItemInput([
            'title' => $title,
            'skill' => $skill,
            'prompt' => '<p>High {h}, low {l}: the range?</p>',
            'variables' => [
                ['name' => 'h', 'from' => '4', 'to' => '8', 'step' => '0.1'], ['name' => 'l', 'from' => '0.5', 'to' => '2', 'step' => '0.1'],
            ],
            'rule' => ['targets' => [['value' => '= h - l', 'credit' => '1']], 'unit' => '', 'unitUse' => 'none'],
        ] + $this->world->itemDocuments()['number']))->id;
        $papers = $this->world->get(Papers::class);
        $paper = $papers->create($lead, new PaperInput(['version' => 1, 'title' => $title, 'mastery' => $mastery, 'sections' => [[
            'id' => 's1', 'title' => 'S', 'route' => null,
            'entries' => [['id' => 'e1', 'kind' => 'question', 'item' => $item, 'points' => '2']],
        ]]]));
        $handout = $this->world->handOut($conditions, $papers->publish($lead, $paper->id, new PublishInput($paper->version))->editionId);
        $this->sitting = $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$handout/open")->text('id');

        return $handout;
    }

    /** @return array{float, float} high and low water at a try */
    private function numbers(int $try): array
    {
        $prompt = $this->get('GET', "/me/sittings/$this->sitting")->text('steps.'.($try - 1).'.face.prompt');
        self::assertSame(1, preg_match('/High (\d\.?\d?), low (\d\.?\d?)/', $prompt, $m), $prompt);

        return [(float) $m[1], (float) $m[2]];
    }

    /** @param array{float, float} $numbers */
    private static function range(array $numbers): string
    {
        return sprintf('%.1f', $numbers[0] - $numbers[1]);
    }

    private function answer(int $try, string $text): void
    {
        $kept = $this->get('PUT', "/me/sittings/$this->sitting/responses", ['saves' => [
            ['entry' => 'e1', 'try' => $try, 'value' => ['text' => $text], 'counter' => $try, 'clientId' => "c$try"],
        ]]);
        self::assertSame('kept', $kept->text('kept.0.fate'));
    }

    private function goOn(int $visit): Json
    {
        return $this->get('POST', "/me/sittings/$this->sitting/go-on", ['visit' => $visit]);
    }

    /** @return list<array{int, int}> number and try of each step */
    private static function tries(Json $view): array
    {
        return array_map(static fn (Json $s): array => [$s->int('number'), $s->int('try')], $view->list('steps'));
    }
}
