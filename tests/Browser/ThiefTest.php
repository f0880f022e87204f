<?php

declare(strict_types=1);

namespace Tests\Browser;

use Illuminate\Support\Str;
use Tests\Http\Visitor;
use Tests\ServedClock;

/** An operator who is signed in means ill, and finds every door shut; then his phone is put out. */
final class ThiefTest extends BrowserTestCase
{
    public function test_a_thiefs_diary(): void
    {
        $machine = $this->machine()['id'];
        $other = $this->machine()['id'];
        $name = 'thief'.bin2hex(random_bytes(3));
        $thief = $this->keeper()->ask('POST', '/people', ['name' => 'Ned Sly', 'sign_in_name' => $name, 'password' => 'hens in the orchard', 'role' => 'operator'])['body'];
        $mechanic = new Visitor((string) getenv('JARDINIER_URL'), 'tamsin', 'coldbrook-tamsin');
        $theirs = $this->look($machine, ['said' => 'not_fine', 'verdict' => 'stand_down', 'words' => 'Does not stop it']);
        $mechanic->ask('POST', '/notes', ['notes' => [$theirs]]);
        $token = $mechanic->ask('POST', '/tokens', ['name' => 'x', 'abilities' => ['read'], 'days' => 1])['body']['id'];
        $signIn = $mechanic->ask('GET', '/sign-ins')['body']['data'][0]['id'];
        $rule = $this->keeper()->ask('GET', "/machines/{$machine}")['body']['rules'][0];
        $list = $this->keeper()->ask('POST', '/lists', ['name' => 'Thursday', 'rules' => [$rule['id']]])['body'];
        $link = $this->keeper()->ask('POST', "/lists/{$list['id']}/links")['body']['path'];
        $this->keeper()->ask('PATCH', "/lists/{$list['id']}", ['is_closed' => true], ['If-Match: "1"']);
        $job = $this->keeper()->ask('POST', "/machines/{$other}/jobs", ['rules' => [$this->keeper()->ask('GET', "/machines/{$other}")['body']['rules'][0]['id']]])['body']['id'];

        $this->browser->signIn($name, 'hens in the orchard');
        $reading = $this->told($this->note($machine, 'reading', ['value' => '91']));
        $entry = $reading['entry']['id'];

        // 1. He records a service, and changes the rulebook, by correcting his own reading.
        $correction = ['entry' => $entry, 'because' => 'Misread', 'hours' => '91'];
        foreach ([['tasks' => [$rule['task_id']]], ['anchors' => [['rule_id' => $rule['id'], 'anchor' => 'chart']]], ['puts_right' => ['seat_switch']]] as $more) {
            self::assertSame(403, $this->told($this->note($machine, 'correction', [...$correction, ...$more]))['problem']['status']);
        }
        // 2. He lifts what stands the machine down: as such, by striking it, by saying otherwise.
        self::assertSame(403, $this->told($this->note($machine, 'lift', ['note' => 'Fine', 'lifts' => [$theirs['id']]]))['problem']['status']);
        $down = $this->walk($machine)['stood_down']['entry_id'];
        self::assertSame(403, $this->told($this->note($machine, 'strike', ['entry' => $down, 'because' => 'Fine']))['problem']['status']);
        self::assertSame('refused', $this->told([...$this->look($machine, ['said' => 'fine']), 'replaces' => $theirs['id']])['status']);
        // 3. He takes his own word back, days after by the dates that he writes.
        $own = $this->look($other, ['said' => 'not_fine', 'verdict' => 'stand_down', 'at' => ServedClock::now('-3 days')->format(DATE_ATOM)]);
        self::assertSame('written', $this->told($own)['status']);
        self::assertSame(403, $this->told([...$this->look($other, ['said' => 'fine', 'at' => $own['at']]), 'replaces' => $own['id'], 'round' => $own['round']])['problem']['status']);
        self::assertNotNull($this->walk($other)['stood_down']);
        // 4. He puts a picture beside what somebody else saw.
        self::assertSame(403, $this->browser->asyncScript(<<<'JS'
            const [machine, act, id, done] = arguments;
            const form = new FormData();
            form.set('id', id); form.set('act', act); form.set('photo', new Blob(['x'], {type: 'image/jpeg'}), 'p.jpg');
            fetch(`/api/machines/${machine}/photos`, {method: 'POST', headers: {Accept: 'application/json'}, body: form}).then(({status}) => done(status));
            JS, $machine, $theirs['id'], (string) Str::uuid()));
        // 5. He looks for what belongs to others.
        self::assertSame([403, 403, 403], [$this->asks('GET', '/people'), $this->asks('GET', '/computer'), $this->asks('POST', "/people/{$thief['id']}/invitation")]);
        self::assertSame([404, 404], [$this->asks('DELETE', "/tokens/{$token}"), $this->asks('DELETE', "/sign-ins/{$signIn}")]);
        // 6. He writes more into an address than a number.
        self::assertSame([404, 404], [$this->asks('GET', "/machines/{$machine}'"), $this->asks('GET', "/machines/{$machine}%20or%201=1")]);
        // 7. He tells of another machine's job.
        self::assertSame('refused', $this->told($this->note($machine, 'remark', ['note' => 'x', 'job' => $job]))['status']);
        // 8. He opens a link that has ended with its list.
        self::assertSame(404, $this->asks('GET', $link));
        // 9. He hides something in a name.
        self::assertSame(422, $this->asks('POST', '/tokens', ['name' => "a\u{202E}b", 'abilities' => ['read'], 'days' => 1]));
        // 10. He guesses his way to another password.
        $change = fn (): int => $this->asks('PUT', '/password', ['present' => 'guess', 'password' => 'geese in the orchard']);
        self::assertSame([422, 422, 422, 422, 422, 429], array_map($change, range(1, 6)));

        $this->assertPutOutHisPhoneForgets($thief);
    }

    /** @param  array<string, mixed>  $thief */
    private function assertPutOutHisPhoneForgets(array $thief): void
    {
        $this->browser->resize(Browser::PHONE);
        $this->browser->open('/walkaround');
        $this->browser->see('Bittern');
        $machine = $this->machine();
        $kept = fn (string $store): int => $this->browser->asyncScript(<<<'JS'
            const [store, done] = arguments;
            const opening = indexedDB.open('jardinier');
            opening.onsuccess = () => { const count = opening.result.transaction(store).objectStore(store).count(); count.onsuccess = () => { opening.result.close(); done(count.result); }; };
            JS, $store);
        self::assertGreaterThan(0, $kept('answers'));
        $this->keepUnsent($machine['id'], $thief['id']);
        $this->keeper()->ask('PATCH', "/people/{$thief['id']}", ['active' => false], ['If-Match: "1"']);
        $this->browser->open('/walkaround');
        $this->browser->see('Your access on this device has ended.');
        $this->browser->see('1 note that was written here was never sent.');
        $this->browser->until(fn (): bool => $kept('answers') <= 1, 'what was read to be forgotten');
        self::assertSame(1, $kept('notes'));
        self::assertSame([], $this->browser->barriers());
        $this->browser->press('Save them as a file');
        $this->browser->press('Take them off this device');
        $this->browser->until(fn (): bool => $kept('notes') === 0, 'the notes to be taken off');
    }

    /** As the phone keeps what it could not send. */
    private function keepUnsent(int $machine, int $person): void
    {
        $this->browser->asyncScript(<<<'JS'
            const [note, person, done] = arguments;
            const opening = indexedDB.open('jardinier');
            opening.onsuccess = () => {
                const adding = opening.result.transaction('notes', 'readwrite').objectStore('notes').add({person, note, label: 'A reading', photos: [], written: false});
                adding.onsuccess = () => { opening.result.close(); done(true); };
            };
            JS, $this->note($machine, 'reading', ['value' => '92']), $person);
    }

    /**
     * @param  array<string, mixed>  $note
     * @return array<string, mixed> what became of it
     */
    private function told(array $note): array
    {
        return $this->fetched('POST', '/notes', ['notes' => [$note]])['body']['results'][0];
    }

    /** @param  array<string, mixed>|null  $body */
    private function asks(string $method, string $path, ?array $body = null): int
    {
        return $this->fetched($method, $path, $body)['status'];
    }

    /**
     * From a page of the yard, as whoever is signed in there.
     *
     * @param  array<string, mixed>|null  $body
     * @return array{status: int, body: array<string, mixed>|null}
     */
    private function fetched(string $method, string $path, ?array $body): array
    {
        return $this->browser->asyncScript(<<<'JS'
            const [method, path, body, done] = arguments;
            fetch(`/api${path}`, {
                method,
                headers: {Accept: 'application/json', 'Content-Type': 'application/json'},
                ...(body && {body: JSON.stringify(body)}),
            }).then(async (answer) => done({status: answer.status, body: await answer.json().catch(() => null)}));
            JS, $method, $path, $body);
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array<string, mixed>
     */
    private function note(int $machine, string $kind, array $given): array
    {
        return ['id' => (string) Str::uuid(), 'kind' => $kind, 'at' => ServedClock::now()->format(DATE_ATOM), 'machine_id' => $machine, ...$given];
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array<string, mixed>
     */
    private function look(int $machine, array $given): array
    {
        $note = $this->note($machine, 'look', ['check' => 'seat_switch', ...$given]);

        return [...$note, 'round' => ['kind' => 'daily', 'started_at' => $note['at']]];
    }
}
