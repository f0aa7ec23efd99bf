import '../window';
import { expect } from 'chai';
import type { SessionRow } from '@gonimos/contract/people';
import { Account } from '../../src/people/account';
import { FirstOwner } from '../../src/people/first-owner';
import { People } from '../../src/people/people';
import { SignIn } from '../../src/people/sign-in';
import { ID, Refused, shown } from '../page';

const row = (hash: string, more: Partial<SessionRow> = {}): SessionRow => ({
  hash,
  name: 'Ada of the bank',
  agent: 'Mozilla/5.0 (X11; Linux x86_64) Firefox/140.0',
  since: '2037-03-08T08:00:00Z',
  seen: '2037-03-09T08:00:00Z',
  own: false,
  ...more,
});

describe('coming in', () => {
  it('a demo asks for no password; one touch enters in a role', async () => {
    const p = await shown(<SignIn />, {
      answers: { 'POST /session/demo': new Refused(403, 'The demo is closed.') },
    });
    expect(p.queryByLabelText('Password')).to.equal(null);
    await p.user.click(p.getByRole('button', { name: /^Helper/ }));
    await p.findByText('The demo is closed.');
    expect(p.sent[0].body).to.deep.equal({ role: 'helper' });
  });

  it('a nursery asks for both, says which is missing, and says no more than that they do not fit', async () => {
    const p = await shown(<SignIn />, {
      demo: false,
      answers: { 'POST /session': new Refused(401, 'Name and password do not fit.') },
    });
    await p.user.click(p.getByRole('button', { name: 'Sign in' }));
    await p.findByText(/^Name is/);
    p.getByText(/^Password is/);
    expect(p.sent).to.deep.equal([]);
    await p.user.type(p.getByLabelText('Name'), 'Ada');
    await p.user.type(p.getByLabelText('Password'), 'wrong words');
    await p.user.click(p.getByRole('button', { name: 'Sign in' }));
    await p.findByText('Name and password do not fit.');
    expect((p.getByLabelText('Name') as HTMLInputElement).value).to.equal('Ada');
  });

  it('the first owner says where the nursery stands; a short password is told before it is sent', async () => {
    const p = await shown(<FirstOwner />, {
      answers: { 'POST /owner': new Refused(409, 'It has an owner.') },
    });
    await p.user.type(p.getByLabelText('Nursery'), 'Hill');
    await p.user.type(p.getByLabelText('Your name'), 'Ada');
    await p.user.type(p.getByLabelText('Password'), 'short');
    const go = p.getByRole('button', { name: /nursery|begin|start/i });
    await p.user.click(go);
    await p.findByText(/Password is shorter than 10 letters/);
    expect(p.sent).to.deep.equal([]);
    await p.user.type(p.getByLabelText('Password'), ' no longer');
    await p.user.click(go);
    await p.findByText('It has an owner.');
    expect(p.sent[0].body).to.deep.include({ nursery: 'Hill', name: 'Ada', latitude: 50 });
    expect(p.sent[0].body.tmin).to.have.length(12);
  });
});

describe('who is signed in', () => {
  it('one’s own is not signed out here, others are by a touch', async () => {
    const sessions = [row('a', { own: true }), row('b'), row('c', { name: 'Bo' })];
    const p = await shown(<Account />, { answers: { '/sessions': sessions, 'POST /sessions/b/end': {} } });
    await p.findByText('this one');
    const out = p.getAllByRole('button', { name: 'Sign out' });
    expect(out).to.have.length(2);
    await p.user.click(out[0]);
    await p.until(() => expect(p.sent.map((s) => s.path)).to.deep.equal(['/sessions/b/end']));
  });

  it('a password is changed with the one it replaces; what is wrong stands at its input', async () => {
    const reason = 'is not the one you have';
    const no = new Refused(400, `current ${reason}`, [{ field: 'current', reason }]);
    const p = await shown(<Account />, {
      demo: false,
      answers: { '/sessions': [], 'PUT /session/password': no },
    });
    await p.user.click(p.getByRole('button', { name: 'Change your password' }));
    await p.user.type(p.getByLabelText('Password you have'), 'old words here');
    await p.user.type(p.getByLabelText('New password'), 'new words here');
    await p.user.click(p.getByRole('button', { name: 'Change it' }));
    await p.findByText(`Password you have ${reason}`);
    expect(p.sent[0].body).to.deep.include({ current: 'old words here', password: 'new words here' });
  });

  it('people are shown to owners with what they may', async () => {
    const people = [
      { id: ID(1), name: 'Ada', role: 'owner', version: 1, disabled: false },
      { id: ID(2), name: 'Bo', role: 'helper', version: 3, disabled: true },
    ];
    const p = await shown(<People />, { role: 'owner', answers: { '/people': people, '/hands': [] } });
    await p.findByText('Bo');
    expect(p.text()).to.contain('Ada');
  });
});
