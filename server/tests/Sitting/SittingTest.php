<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Sitting;

use ChalkLadder\Server\Tests\ApiCase;
use PHPUnit\Framework\Attributes\DataProvider;

final class SittingTest extends ApiCase
{
    private const ANSWERS = ['e-choice' => ['options' => ['b']], 'e-text' => ['text' => 'reef'], 'e-number' => ['text' => '12.34'], 'e-open' => ['text' => 'The moon pulls.']];

    /** @return iterable<string, array{string}> */
    public static function plans(): iterable
    {
        foreach (['nothing', 'at once', 'on return'] as $plan) {
            yield $plan => [$plan];
        }
    }

    #[DataProvider('plans')]
    public function testNoBodySentToAStudentHoldsAKeyBeforeReturn(string $plan): void
    {
        $handout = $this->world->handOut(['feedback' => $plan]);
        $this->as($this->world->students['Ada Okafor']);
        $bodies = [$this->ask('GET', '/me/work')->getContent(), $opened = $this->ask('POST', "/me/handouts/$handout/open")->getContent()];
        $id = \ChalkLadder\Server\Tests\Json::of((string) $opened)->text('id');
        foreach ([1, 2] as $visit) {
            foreach (self::ANSWERS as $entry => $value) {
                $bodies[] = $this->ask('PUT', "/me/sittings/$id/responses", ['saves' => [['entry' => $entry, 'try' => 1, 'value' => $value, 'counter' => $visit, 'clientId' => 'x']], 'at' => $entry])->getContent();
            }
            $bodies[] = $this->ask('POST', "/me/sittings/$id/hint", ['entry' => 'e-text', 'try' => 1])->getContent();
            $bodies[] = $this->ask('POST', "/me/sittings/$id/go-on", ['visit' => $visit])->getContent();
        }
        $bodies[] = $this->ask('POST', "/me/sittings/$id/hand-in", ['visit' => 2])->getContent();
        $bodies[] = $this->ask('GET', "/me/sittings/$id")->getContent();
        self::assertCount(16, $bodies);
        foreach ($bodies as $body) {
            // Told at once: the words written for the very answer the student gave and settled, and nothing else.
            $body = $plan === 'at once' ? str_replace(['SECRET feedback', 'SECRET slip'], '', (string) $body) : (string) $body;
            foreach (['SECRET', '98.76', '2469', '"misconception', $this->world->idea] as $secret) {
                self::assertStringNotContainsString($secret, $body);
            }
        }
    }

    public function testAtOnceTellsTheFeedbackOfASettledAnswerAndNothingElse(): void
    {
        $handout = $this->world->handOut(['feedback' => 'at once']);
        $id = $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$handout/open")->text('id');
        $this->get('PUT', "/me/sittings/$id/responses", ['saves' => [['entry' => 'e-choice', 'try' => 1, 'value' => ['options' => ['b']], 'counter' => 1, 'clientId' => 'x']]]);
        $view = $this->get('POST', "/me/sittings/$id/settle", ['entry' => 'e-choice', 'try' => 1]);

        self::assertSame('wrong', $view->text('steps.0.told.verdict'));
        self::assertSame('SECRET feedback', $view->text('steps.0.told.feedback'));
        self::assertNull($view->at('steps.0.told.key'));
        self::assertNull($view->at('steps.1.told'));
        self::assertFalse($view->at('steps.0.open'));
    }

    public function testRepeatsAreHarmlessAndLateArrivalsDoNotOverwriteNewerAnswers(): void
    {
        $handout = $this->world->handOut();
        $id = $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$handout/open")->text('id');
        $save = fn (string $text, int $counter): mixed => $this->get('PUT', "/me/sittings/$id/responses", ['saves' => [['entry' => 'e-text', 'try' => 1, 'value' => ['text' => $text], 'counter' => $counter, 'clientId' => 'c'.$counter]]])->at('kept.0.fate');

        self::assertSame('kept', $save('second', 5));
        self::assertSame('older', $save('second', 5));
        self::assertSame('older', $save('first', 3));
        self::assertSame('second', $this->get('GET', "/me/sittings/$id")->text('steps.1.value.text'));
        self::assertSame($id, $this->get('POST', "/me/handouts/$handout/open")->text('id'), 'opening again goes on with the same sitting');
    }

    public function testClosingHandsInWhatIsThereAndKeepsWhatArrivesLate(): void
    {
        $handout = $this->world->handOut();
        $id = $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$handout/open")->text('id');
        $save = ['saves' => [['entry' => 'e-choice', 'try' => 1, 'value' => ['options' => ['a']], 'counter' => 1, 'clientId' => 'x']]];
        $this->get('PUT', "/me/sittings/$id/responses", $save);
        self::assertSame(1, $this->as($this->world->teacher)->get('POST', "/handouts/$handout/close")->int('handedIn'));
        $save['saves'][0]['entry'] = 'e-text';
        $save['saves'][0]['value'] = ['text' => 'typed offline'];
        self::assertSame('closed', $this->as($this->world->students['Ada Okafor'])->get('PUT', "/me/sittings/$id/responses", $save)->at('kept.0.fate'));
        $this->as($this->world->students['Benoît Larsen'])->refused(409, 'POST', "/me/handouts/$handout/open");
        self::assertSame('typed offline', $this->as($this->world->teacher)->get('GET', "/sittings/$id")->text('late.0.given'));
    }

    public function testOnReturnTheStudentSeesMarksKeysAndCommentsAndRepliesOnce(): void
    {
        $handout = $this->world->handOut();
        $id = $this->world->sit('Ada Okafor', $handout, self::ANSWERS);
        $this->as($this->world->teacher);
        self::assertSame(['Ada Okafor'], $this->get('POST', "/handouts/$handout/return", [])->at('waiting'), 'an open answer waits for its marker');
        $this->get('PUT', '/marks', ['sittingId' => $id, 'entry' => 'e-open', 'try' => 1, 'levels' => [1], 'comment' => 'Name the sun too.', 'markVersion' => 0]);
        self::assertSame(1, $this->get('POST', "/handouts/$handout/return", ['message' => 'Well read.'])->int('returned'));
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
