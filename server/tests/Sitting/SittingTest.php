<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Sitting;

use ChalkLadder\Core\Item\Response\TextResponse;
use ChalkLadder\Server\Sitting\Answer;
use ChalkLadder\Server\Sitting\ReadModel\Saving;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Plan;
use PHPUnit\Framework\Attributes\DataProvider;

final class SittingTest extends ApiCase
{
    private const ANSWERS = [
        'e-choice' => ['options' => ['b']],
        'e-text' => ['text' => 'reef'],
        'e-number' => ['text' => '12.34'],
        'e-open' => ['text' => 'The moon pulls.'],
    ];

    /** @return iterable<string, array{array<string, string>, list<string>}> a plan, and the words it lets out before the work is returned */
    public static function plans(): iterable
    {
        // Words written for the very answer that the student gave, and nothing else.
        $own = ['SECRET feedback', 'SECRET slip'];
        yield 'nothing' => [Plan::NOTHING, []];
        yield 'at once' => [Plan::AT_ONCE, $own];
        yield 'on return' => [Plan::ON_RETURN, []];
        yield 'right or wrong and marks at once' => [['verdict' => 'at once', 'marks' => 'at once'], []];
        yield 'feedback when handed in' => [['verdict' => 'handed in', 'feedback' => 'handed in', 'marks' => 'handed in'], $own];
        yield 'the rest when closed' => [array_fill_keys(['feedback', 'key', 'workedAnswer', 'classPicture'], 'closed'), []];
    }

    /**
     * @param array<string, string> $plan
     * @param list<string>          $lets
     */
    #[DataProvider('plans')]
    public function testNoBodySentToAStudentHoldsAKeyBeforeReturn(array $plan, array $lets): void
    {
        $handout = $this->world->handOut(['feedback' => $plan, 'shuffleOptions' => true]);
        $asked = $this->questionOfAClassmate();
        $this->as($this->world->students['Ada Okafor']);
        $bodies = $routes = [];
        $see = function (string $method, string $route, string $id = '', ?array $body = null) use (&$bodies, &$routes): string {
            $routes["$method /api$route"] = true;

            $path = str_replace(['{id}', '{upload}', '{page}', '{leave}'], [$id, $id, '1', $id], $route);

            return $bodies[] = (string) $this->ask($method, $path, $body)->getContent();
        };
        $see('GET', '/me');
        $see('GET', '/me/work');
        $id = \ChalkLadder\Server\Tests\Json::of($see('POST', '/me/handouts/{id}/open', $handout))->text('id');
        $see('GET', '/me/sittings/{id}/live', $id);
        $see('GET', '/me/files/{id}', $this->world->items['choice']);
        $see('GET', '/me/files/{id}/pages/{page}', $this->world->items['choice']);
        $see('GET', '/me/files');
        $see('POST', '/me/sittings/{id}/uploads', $id, ['name' => 'x.wav', 'size' => 9, 'kinds' => ['sound']]);
        foreach (['GET', 'PUT', 'DELETE'] as $method) {
            $see($method, '/me/sittings/{id}/uploads/{upload}', $id);
        }
        $see('GET', '/me/invitations');
        $see('PUT', '/me/proposals/{id}', '0190a0a0-0000-7000-8000-0000000000f3', self::written($asked['invitation'], 'turns it round'));
        // What is right is told with the answer; why others would be wrong, only to whoever takes them.
        $see('POST', '/me/proposals/{id}/answer', $asked['question'], ['option' => 0, 'version' => 1]);
        $see('PUT', '/me/sittings/{id}/played', $id, [
            'file' => $this->world->items['choice'], 'device' => $this->world->items['text'], 'millis' => 900, 'times' => [1],
        ]);
        $see('PUT', '/me/sittings/{id}/call', $id, ['id' => '0190a0a0-0000-7000-8000-0000000000f4', 'entry' => 'e-text']);
        $see('DELETE', '/me/sittings/{id}/call', $id);
        $see('PUT', '/me/sittings/{id}/left/{leave}', $id, ['seconds' => 3]);
        foreach (['PUT', 'POST', 'DELETE'] as $method) {
            $see($method, '/me/sittings/{id}/help', $id, $method === 'POST' ? ['id' => $id, 'words' => 'Which key?'] : null);
        }
        foreach ([1, 2] as $visit) {
            foreach (self::ANSWERS as $entry => $value) {
                $see(
                    'PUT',
                    '/me/sittings/{id}/responses',
                    $id,
                    [
                        'saves' => [['entry' => $entry, 'try' => 1, 'value' => $value, 'counter' => $visit, 'clientId' => 'x']],
                        'at' => $entry,
                    ],
                );
                $see('POST', '/me/sittings/{id}/settle', $id, ['entry' => $entry, 'try' => 1]);
                $see('POST', '/me/sittings/{id}/hint', $id, ['entry' => $entry, 'try' => 1]);
            }
            $see('POST', '/me/sittings/{id}/go-on', $id, ['visit' => $visit]);
        }
        $see('POST', '/me/sittings/{id}/hand-in', $id, ['visit' => 2]);
        $see('POST', '/me/sittings/{id}/reply', $id, ['text' => 'What was the key?']);
        $see('GET', '/me/sittings/{id}', $id);
        $see('GET', '/me/work');
        $see('GET', '/me/skills');
        $see('PUT', '/me/account', $id, ['account' => 'keel', 'password' => 'low water 1', 'pin' => '1']);
        $see('GET', '/me/account');
        $see('DELETE', '/me/account');
        $see('DELETE', '/me');
        $known = [];
        foreach (self::service(\Symfony\Component\Routing\RouterInterface::class)->getRouteCollection() as $route) {
            foreach (preg_match('#^/api/me(/|$)#', $route->getPath()) === 1 ? $route->getMethods() : [] as $method) {
                $known[$method.' '.$route->getPath()] = true;
            }
        }
        ksort($known);
        ksort($routes);
        self::assertSame($known, $routes, 'every route of students is walked');
        foreach ($bodies as $body) {
            $body = str_replace($lets, '', $body);
            foreach (['SECRET', '98.76', '2469', '"misconception', $this->world->idea] as $secret) {
                self::assertStringNotContainsString($secret, $body);
            }
        }
    }

    /** @return array{invitation: string, question: string} written by another of the class, and shown to it */
    private function questionOfAClassmate(): array
    {
        $invitation = '0190a0a0-0000-7000-8000-0000000000f1';
        $question = '0190a0a0-0000-7000-8000-0000000000f2';
        $this->as($this->world->teacher)->get('POST', '/invitations', [
            'id' => $invitation, 'classId' => $this->world->classId, 'topic' => 'Tides',
        ]);
        $this->as($this->world->students['Cleo Marsh'])->get('PUT', "/me/proposals/$question", self::written($invitation, 'SECRET why'));
        $this->as($this->world->teacher)->get('POST', "/proposals/$question/show", []);

        return ['invitation' => $invitation, 'question' => $question];
    }

    /** @return array<string, mixed> */
    private static function written(string $invitation, string $why): array
    {
        return ['invitationId' => $invitation, 'version' => 0, 'question' => [
            'prompt' => 'What follows the flood?', 'key' => 0, 'because' => '',
            'options' => [['text' => 'the ebb', 'why' => ''], ['text' => 'the flow', 'why' => $why]],
        ]];
    }

    public function testAtOnceTellsTheFeedbackOfASettledAnswerAndNothingElse(): void
    {
        $handout = $this->world->handOut(['feedback' => Plan::AT_ONCE]);
        $id = $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$handout/open")->text('id');
        $this->get(
            'PUT',
            "/me/sittings/$id/responses",
            ['saves' => [[
                'entry' => 'e-choice',
                'try' => 1,
                'value' => ['options' => [$this->shown($id, 'b')]],
                'counter' => 1,
                'clientId' => 'x',
            ]]],
        );
        $view = $this->get('POST', "/me/sittings/$id/settle", ['entry' => 'e-choice', 'try' => 1]);

        self::assertSame('wrong', $view->text('steps.0.told.verdict'));
        self::assertSame('SECRET feedback', $view->text('steps.0.told.feedback'));
        self::assertNull($view->at('steps.0.told.key'));
        self::assertNull($view->at('steps.1.told'));
        self::assertFalse($view->at('steps.0.open'));
    }

    public function testAStudentBeginsWithTheSourceThatStandsFirst(): void
    {
        $source = [
            'id' => 'chart',
            'kind' => 'source',
            'source' => ['title' => 'The chart', 'html' => '<ol data-lines=""><li><p>Soundings</p></li><li><p>in metres</p></li></ol>', 'picture' => null, 'alt' => ''],
        ];
        $looksAt = ['source' => 'chart', 'from' => 2, 'to' => 2];
        $question = ['id' => 'e-text', 'kind' => 'question', 'item' => $this->world->items['text'], 'points' => '2', 'looksAt' => $looksAt];
        $paper = ['sections' => [[
            'id' => 's1',
            'title' => 'Chart',
            'entries' => [$source, $question],
            'route' => null,
            'instructions' => '<p onclick="x()">No calculator here.</p><script>1</script>',
        ]]] + $this->world->paperDocument();
        $path = '/papers/'.$this->world->paperId;
        $this->as($this->world->teacher)->get('PUT', $path, ['paper' => $paper, 'version' => 1]);
        $handout = $this->world->handOut([], $this->get('POST', "$path/publish", ['version' => 2])->text('editionId'));
        $view = $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$handout/open");

        self::assertSame(
            ['chart', 'chart', 'The chart'],
            [$view->text('at'), $view->text('steps.0.entry'), $view->text('sources.0.title')],
        );
        self::assertSame([true, []], [$view->at('steps.0.isSource'), $view->at('steps.0.beside')]);
        self::assertSame('<p>No calculator here.</p>', $view->text('instructions'));
        self::assertSame(
            [false, ['chart'], $looksAt],
            [$view->at('steps.1.isSource'), $view->at('steps.1.beside'), $view->at('steps.1.looksAt')],
        );
        // Where they have gone since is where they go on.
        $this->get('PUT', '/me/sittings/'.$view->text('id').'/responses', ['saves' => [], 'at' => 'e-text']);
        self::assertSame('e-text', $this->get('POST', "/me/handouts/$handout/open")->text('at'));
        self::assertSame($looksAt, $this->as($this->world->teacher)->get('GET', "/handouts/$handout/marking/e-text")->at('looksAt'));
    }

    public function testRepeatsAreHarmlessAndLateArrivalsDoNotOverwriteNewerAnswers(): void
    {
        $handout = $this->world->handOut();
        $id = $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$handout/open")->text('id');
        $save = fn (string $text, int $counter): mixed => $this->get(
            'PUT',
            "/me/sittings/$id/responses",
            ['saves' => [[
                'entry' => 'e-text',
                'try' => 1,
                'value' => ['text' => $text],
                'counter' => $counter,
                'clientId' => 'c'.$counter,
            ]]],
        )->at('kept.0.fate');

        self::assertSame('kept', $save('second', 5));
        self::assertSame('older', $save('second', 5));
        self::assertSame('older', $save('first', 3));
        self::assertSame('second', $this->get('GET', "/me/sittings/$id")->text('steps.1.value.text'));
        self::assertSame($id, $this->get('POST', "/me/handouts/$handout/open")->text('id'), 'opening again goes on with the same sitting');
    }

    public function testAnAnswerWrittenWhileTheSittingMovedOnGoesNowhereByMistake(): void
    {
        $handout = $this->world->handOut();
        $ada = $this->world->students['Ada Okafor'];
        $id = $this->as($ada)->get('POST', "/me/handouts/$handout/open")->text('id');
        $store = self::service(SittingReader::class);
        $before = $store->ofStudent($ada->id, $id);
        $this->get('POST', "/me/sittings/$id/go-on", ['visit' => 1]);
        $late = new Answer(
            'e-text',
            1,
            new TextResponse('reef'),
            1,
            false,
            $before->checking()->outcome('e-text', new TextResponse('reef'), 1),
        );

        self::assertNull(self::service(Saving::class)->all($before, null, [[$late, 'x']], 'e-text', new \DateTimeImmutable()));
        self::assertSame([], $store->answers($store->ofStudent($ada->id, $id)));
        // Through the front door the same answer is kept beside the work.
        self::assertSame(
            'closed',
            $this->get(
                'PUT',
                "/me/sittings/$id/responses",
                ['saves' => [['entry' => 'e-text', 'try' => 1, 'value' => ['text' => 'reef'], 'counter' => 1, 'clientId' => 'x']]],
            )->at('kept.0.fate'),
        );
    }

    public function testASaveWithFaultsNamesEachPlaceAndKeepsNothing(): void
    {
        $handout = $this->world->handOut();
        $id = $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$handout/open")->text('id');
        $path = "/me/sittings/$id/responses";
        $fields = $this->refused(
            422,
            'PUT',
            $path,
            [
                'saves' => [['entry' => 'e-text', 'try' => 0, 'value' => ['text' => 1], 'counter' => 'x', 'clientId' => 'x', 'marks' => 9]],
                'at' => 7,
            ],
        )->map('fields');

        self::assertSame(['saves.0.try', 'saves.0.value.text', 'saves.0.counter', 'saves.0.marks', 'at'], array_keys($fields));
        foreach (['[1]', '{', '"x"', ''] as $body) {
            $this->refused(400, 'PUT', $path, $body);
        }
        $this->refused(
            422,
            'PUT',
            $path,
            ['saves' => array_fill(
                0,
                101,
                ['entry' => 'e-text', 'try' => 1, 'value' => ['text' => 'a'], 'counter' => 1, 'clientId' => 'x'],
            )],
        );
        self::assertNull($this->tables->row('SELECT 1 FROM response'));
    }

    public function testClosingHandsInWhatIsThereAndKeepsWhatArrivesLate(): void
    {
        $handout = $this->world->handOut();
        $id = $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$handout/open")->text('id');
        $save = ['saves' => [[
            'entry' => 'e-choice',
            'try' => 1,
            'value' => ['options' => [$this->shown($id, 'a')]],
            'counter' => 1,
            'clientId' => 'x',
        ]]];
        $this->get('PUT', "/me/sittings/$id/responses", $save);
        self::assertSame(1, $this->as($this->world->teacher)->get('POST', "/handouts/$handout/close")->int('handedIn'));
        $save['saves'][0]['entry'] = 'e-text';
        $save['saves'][0]['value'] = ['text' => 'typed offline'];
        self::assertSame(
            'closed',
            $this->as($this->world->students['Ada Okafor'])->get('PUT', "/me/sittings/$id/responses", $save)->at('kept.0.fate'),
        );
        $this->as($this->world->students['Benoît Larsen'])->refused(409, 'POST', "/me/handouts/$handout/open");
        self::assertSame('typed offline', $this->as($this->world->teacher)->get('GET', "/sittings/$id")->text('late.0.given'));
    }

    public function testOnReturnTheStudentSeesMarksKeysAndCommentsAndRepliesOnce(): void
    {
        $handout = $this->world->handOut();
        $id = $this->world->sit('Ada Okafor', $handout, self::ANSWERS);
        $this->as($this->world->teacher);
        self::assertSame(
            ['Ada Okafor'],
            $this->get('POST', "/handouts/$handout/return", [])->at('waiting'),
            'an open answer waits for its marker',
        );
        $this->get(
            'PUT',
            '/marks',
            ['sittingId' => $id, 'entry' => 'e-open', 'try' => 1, 'levels' => [1], 'comment' => 'Name the sun too.', 'markVersion' => 0],
        );
        self::assertCount(1, $this->get('POST', "/handouts/$handout/return", ['message' => 'Well read.'])->list('students'));
        self::assertSame('Well read.', $this->get('GET', '/outbox')->text('messages.0.body'));

        $view = $this->as($this->world->students['Ada Okafor'])->get('GET', "/me/sittings/$id");
        self::assertSame('4', $view->text('marks'));
        self::assertSame('9', $view->text('of'));
        self::assertSame('<p>right</p>', $view->text('steps.0.told.key'));
        self::assertSame('Name the sun too.', $view->text('steps.3.told.comment'));
        $this->get('POST', "/me/sittings/$id/reply", ['text' => 'Thank you']);
        $this->refused(409, 'POST', "/me/sittings/$id/reply", ['text' => 'Again']);
    }
}
