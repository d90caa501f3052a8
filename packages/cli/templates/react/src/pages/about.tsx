export default function AboutPage() {
  return (
    <>
      <h1>About</h1>
      <p>What Marram Point is about.</p>
    </>
  );
}
