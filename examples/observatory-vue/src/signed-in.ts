import { onMounted, ref, watch, type Ref } from 'vue';

const key = 'observatory-signed-in';

/** Whether the visitor has signed in; null while that is not known, as in what is rendered before scripts run. */
export function useSignedIn(): Ref<boolean | null> {
  const signedIn = ref<boolean | null>(null);
  onMounted(() => {
    signedIn.value = read();
    watch(signedIn, (isIn) => store(isIn === true));
  });
  return signedIn;
}

function read(): boolean {
  try {
    return localStorage.getItem(key) === 'yes';
  } catch {
    return false; // Storage is refused: every visit begins signed out.
  }
}

function store(signedIn: boolean): void {
  try {
    localStorage.setItem(key, signedIn ? 'yes' : 'no');
  } catch {
    // Then it lasts until the page is left.
  }
}
