<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Sitting;

use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

/** Each thing is told from its moment on, and stays told. */
final class TellingTest extends ApiCase
{
    private const FIRST = ['verdict' => 'handed in', 'feedback' => 'handed in', 'marks' => 'closed', 'classPicture' => 'closed'];
    private const ANSWERS = ['e-choice' => ['options' => ['b']], 'e-text' => ['text' => 'SECRETROCK']];

    public function testFeedbackFirstThenMarksThenTheKey(): void
    {
        $handout = $this->world->handOut(['feedback' => self::FIRST]);
        $ada = $this->world->students['Ada Okafor'];
        $id = $this->world->sit('Ada Okafor', $handout, self::ANSWERS);

        $in = $this->seen($ada, $id);
        self::assertSame(['wrong', 'SECRET feedback', null, null], self::told($in));
        self::assertNull($in->at('marks'));
        self::assertSame(
            'Marks and how the class did come when everybody is done. The key and the worked answer come when your teacher gives the work back.',
            $in->text('coming'),
        );

        $this->as($this->world->teacher)->get('POST', "/handouts/$handout/close");
        $closed = $this->seen($ada, $id);
        self::assertSame(['wrong', 'SECRET feedback', '0', null], self::told($closed));

        $this->as($this->world->teacher)->get('POST', "/handouts/$handout/return", ['message' => '']);
        $returned = $this->seen($ada, $id);
        self::assertSame('wrong', self::told($returned)[0]);
        self::assertNotNull(self::told($returned)[3]);
        self::assertSame('', $returned->text('coming'));
    }

    public function testWhatWasToldAtClosingStaysToldWhenTheHandoutIsOpenedAgain(): void
    {
        $handout = $this->world->handOut(['feedback' => self::FIRST]);
        $ada = $this->world->students['Ada Okafor'];
        $early = $this->world->sit('Ada Okafor', $handout, self::ANSWERS);
        $this->as($this->world->teacher)->get('POST', "/handouts/$handout/close");
        $this->get('POST', "/handouts/$handout/reopen");
        self::assertSame('0', self::told($this->seen($ada, $early))[2]);

        $late = $this->world->sit('Benoît Larsen', $handout, self::ANSWERS);
        $ben = $this->world->students['Benoît Larsen'];
        self::assertNull(self::told($this->seen($ben, $late))[2], 'others sit again: not closed for whoever hands in now');
        $this->as($this->world->teacher)->get('POST', "/handouts/$handout/close");
        self::assertSame('0', self::told($this->seen($ben, $late))[2]);
    }

    public function testMarksAtOnceWithoutRightOrWrong(): void
    {
        $handout = $this->world->handOut(['feedback' => ['marks' => 'at once', 'verdict' => 'never']]);
        $id = $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$handout/open")->text('id');
        $view = $this->get('GET', "/me/sittings/$id");
        self::assertTrue($view->at('settles'));
        $this->get('PUT', "/me/sittings/$id/responses", ['saves' => [
            ['entry' => 'e-text', 'try' => 1, 'value' => ['text' => 'SECRETBROOK'], 'counter' => 1, 'clientId' => 'x'],
        ]]);
        self::assertNull(self::step($this->get('GET', "/me/sittings/$id"), 'e-text')->at('told'), 'not settled yet');
        $this->get('POST', "/me/sittings/$id/settle", ['entry' => 'e-text', 'try' => 1]);
        $told = self::step($this->get('GET', "/me/sittings/$id"), 'e-text');
        self::assertSame([null, '', '1', null], array_map(
            static fn (string $part): mixed => $told->at("told.$part"),
            ['verdict', 'feedback', 'marks', 'key'],
        ));
    }

    public function testTheClassIsToldInNumbersOnceItIsClosedAndLargeEnough(): void
    {
        $more = array_map(fn (string $name): StudentUser => $this->world->join("Class of $name", $name), ['Dot Eel', 'Efe Fin']);
        $handout = $this->world->handOut(['feedback' => self::FIRST], students: array_map(static fn (StudentUser $s): string => $s->id, $more));
        $ada = $this->world->students['Ada Okafor'];
        $id = $this->world->sit('Ada Okafor', $handout, self::ANSWERS);
        $this->world->sit('Benoît Larsen', $handout, ['e-choice' => ['options' => ['a']]] + self::ANSWERS);
        $this->world->sit('Cleo Marsh', $handout, ['e-choice' => ['options' => ['a']], 'e-text' => ['text' => 'SECRETBROOK']]);
        $this->world->sit('', $handout, ['e-text' => ['text' => 'SECRETBROOK']] + self::ANSWERS, $more[0]);
        self::assertNull($this->seen($ada, $id)->at('steps.0.told.picture'));
        $this->world->sit('', $handout, ['e-text' => ['text' => 'SECRETROCK']], $more[1]);
        self::assertNull($this->seen($ada, $id)->at('steps.0.told.picture'), 'others might still sit');

        $this->as($this->world->teacher)->get('POST', "/handouts/$handout/close");
        $seen = $this->seen($ada, $id);
        self::assertNull($seen->at('steps.0.told.picture'), 'four answered it, and one could tell who');
        self::assertSame(['n' => 5, 'right' => 3, 'part' => 2], self::step($seen, 'e-text')->at('told.picture'));
        $body = (string) $this->ask('GET', "/me/sittings/$id")->getContent();
        foreach (['Beno', 'Cleo', 'Dot', 'Efe'] as $name) {
            self::assertStringNotContainsString($name, $body);
        }
    }

    public function testTheListSaysMarksOnceTheyAreTold(): void
    {
        $handout = $this->world->handOut(['feedback' => self::FIRST]);
        $id = $this->world->sit('Ada Okafor', $handout, ['e-text' => ['text' => 'SECRETBROOK']] + self::ANSWERS);
        $listed = function () use ($handout): array {
            $row = array_values(array_filter(
                $this->as($this->world->students['Ada Okafor'])->get('GET', '/me/work')->list('handouts'),
                static fn (Json $h): bool => $h->text('handoutId') === $handout,
            ))[0];

            return [$row->at('marks'), $row->at('of')];
        };
        self::assertSame([null, null], $listed());
        $this->as($this->world->teacher)->get('POST', "/handouts/$handout/close");
        $seen = $this->seen($this->world->students['Ada Okafor'], $id);
        self::assertSame('1', $seen->text('marks'));
        self::assertSame(['1', $seen->text('of')], $listed());
    }

    private function seen(StudentUser $who, string $id): Json
    {
        return $this->as($who)->get('GET', "/me/sittings/$id");
    }

    /** @return list<mixed> verdict, feedback, marks and key told of the choice */
    private static function told(Json $view): array
    {
        $step = self::step($view, 'e-choice');

        return array_map(static fn (string $part): mixed => $step->at("told.$part"), ['verdict', 'feedback', 'marks', 'key']);
    }

    private static function step(Json $view, string $entry): Json
    {
        foreach ($view->list('steps') as $step) {
            if ($step->text('entry') === $entry) {
                return $step;
            }
        }
        self::fail("no step $entry");
    }
}
